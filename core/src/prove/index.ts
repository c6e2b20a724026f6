export { PROOF_KINDS, closingProofs, proofKindsAt } from './closingProofs';
export type { JoinedAt, Proof, PromisedFeed, ProofKind } from './closingProofs';
export { handOverTests } from './handOver';
export type { HandOverTest } from './handOver';
export { judgeCheck } from './judgeCheck';
export type { CheckStanding } from './judgeCheck';
export { orderChecks } from './orderChecks';
export { checkLimit, checkTitle, proofChecks } from './proofChecks';
export type { ProofCheck, ProvedLead } from './proofChecks';
