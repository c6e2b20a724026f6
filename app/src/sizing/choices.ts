/** Voltages that per cent may refer to, V. */
export const BASES_V = [12, 12.6, 13.8, 24] as const;
/** Drop limits worth a button, per cent. */
export const DROP_LIMITS = [1, 3, 5, 10] as const;
