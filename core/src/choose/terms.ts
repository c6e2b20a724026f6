/**
 * What may be said of devices and ways of working, for whoever checks what is sent: lists and ranges without the computation behind them.
 */
export { LEAD_FAMILIES } from './leads';
export { DEFAULT_SCHOOLS } from './schools';
