/** From here up a source counts as meeting a need. */
export const SURE = 0.97;
/**
 * The same for a signal. It was seen live with what it comes with and dead at rest, and what else could do that is no
 * function that has a name: it is proved at the end in any case.
 */
export const SURE_SIGNAL = 0.9;
/**
 * The same for what a switch gives: a single touch that missed the metal would look like a change, so that another look
 * is wanted where a constant is nearly as likely.
 */
export const SURE_TRIGGER = 0.97;
/** And by its readings alone: both states that make a signal must have been seen in any case. */
export const SURE_SIGNAL_BY_READINGS = 0.75;
/** And from here up by its readings alone: no legend makes up for a state that nobody has seen. */
export const SURE_BY_READINGS = 0.86;
/** A source that nobody can read and that is this likely to be safety-critical never serves: rather no source than an even bet. */
export const TOO_RISKY = 0.42;
/**
 * The same where a legend is there. A print that its readings agree with is dangerous with a chance of a few per cent, on a worn
 * lid of some more; beyond this it is probably another circuit's, so that nothing speaks for what is behind it.
 */
export const TOO_RISKY_PRINTED = 0.15;
/** Beyond this the readings speak against a harmless print: it serves only with a reason. */
export const AGAINST_PRINT = 0.1;
/** And this likely, not even the handbook is asked about it. */
export const TOO_RISKY_TO_ASK = 0.8;
/**
 * From this chance of danger on the handbook is asked about what prints something harmless, if it is at hand: on a lid that reads
 * well, and at the least on a worn one. Chosen on generated cars, see decision 9.
 */
export const LOOK_UP_FROM = { usual: 0.04, worn: 0.02 } as const;
/** A lid counts as worn from this doubt of its prints on, see `doubtOfPrints`. */
export const DOUBTED = 1.5;
/** Below this a source isn't worth planning for. */
export const HOPELESS = 0.02;
/** The same for a signal: one wire in a bunch has it, and nothing but readings tells which. */
export const HOPELESS_SIGNAL = 0.0005;
