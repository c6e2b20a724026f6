/** Most positions that one panel has. */
export const MOST_SLOTS = 200;

/** Most wires of one loom, or cavities of one connector. */
export const MOST_WIRES = 200;
