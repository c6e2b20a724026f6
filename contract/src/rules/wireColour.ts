import { WIRE_COLOURS } from '@lucky-thread/core/vehicle';

const CODES = Object.keys(WIRE_COLOURS).join('|');

/** A wire's colour as it is stored: base, and a stripe after a slash. */
export const WIRE_COLOUR = new RegExp(`^(${CODES})(/(${CODES}))?$`);
