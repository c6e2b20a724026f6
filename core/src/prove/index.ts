export { PROOF_KINDS, closingProofs } from './closingProofs';
export type { Proof, ProofKind } from './closingProofs';
