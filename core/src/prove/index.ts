export { PROOF_KINDS, closingProofs } from './closingProofs';
export type { Proof, PromisedFeed, ProofKind } from './closingProofs';
