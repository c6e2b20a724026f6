/**
 * What may be said of conductors and sizing, for whoever checks what is sent: lists and ranges without the computation behind them.
 */
export { INSULATIONS_C } from './conductor';
export { CONDUCTOR_SIZES } from './conductorSize';
export { numberProblems, rangeText } from './ranges';
