export {
  EVIDENCE_GRADES,
  claimProbability,
  claimStatus,
  compareWithClaim,
  loggedClaim,
} from './tapEvidence';
export type { ClaimStatus, EvidenceGrade, ObservationKind, TapClaim } from './tapEvidence';
