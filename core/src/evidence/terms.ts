/**
 * What may be said of evidence, for whoever checks what is sent: lists and ranges without the computation behind them.
 */
export { EVIDENCE_GRADES } from './grades';
