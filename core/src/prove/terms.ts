/**
 * What may be said of proofs, for whoever checks what is sent: lists and ranges without the computation behind them.
 */
export { PROOF_KINDS } from './proofKinds';
