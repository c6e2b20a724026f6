/** Why a lamp goes on a wire that a meter shows at battery voltage. */
export const LAMP_BECAUSE =
  'A meter shows battery voltage on a module’s pull-up as well; only what can feed something burns a lamp.';

/** What can hurt when it does. */
export const LAMP_CAUTION =
  'The lamp on this wire only: it showed battery voltage, which data and sensor lines do not. Never on another one here; yellow sleeves and airbag plugs stay shut.';
