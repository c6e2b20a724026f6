export { EVIDENCE_GRADES } from './grades';
export type { EvidenceGrade } from './grades';
export { claimProbability, claimStatus, compareWithClaim, loggedClaim } from './tapEvidence';
export type { ClaimStatus, ObservationKind, TapClaim } from './tapEvidence';
