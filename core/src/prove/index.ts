export { PROOF_KINDS, closingProofs, proofKindsAt } from './closingProofs';
export type { JoinedAt, Proof, PromisedFeed, ProofKind } from './closingProofs';
export { handOverTests } from './handOver';
export type { HandOverTest } from './handOver';
