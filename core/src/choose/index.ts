export { FUSE_WITHIN, chooseMethod, plugEndedKit } from './chooseMethod';
export type { JoinGiven, MethodChoice, MethodRefusal, Methods } from './chooseMethod';
export { DEVICE_FACTS, DEVICE_TYPES, feedsFor, tappableFeeds } from './deviceFeeds';
export type { DeviceType, WantedFeed } from './deviceFeeds';
export { feedSheet } from './feedSheet';
export type { FeedSheet, SheetGiven } from './feedSheet';
export { GROUND_LIMIT_V, chooseGround } from './ground';
export type { GroundChoice, GroundGiven, GroundPlace } from './ground';
export { groundUnderLoad } from './groundUnderLoad';
export type { GroundReading, GroundVerdict } from './groundUnderLoad';
export { headroom, originalLoad } from './headroom';
export type { Headroom, LoadBasis, OriginalLoad } from './headroom';
export { TAP_HOLDERS, holderFor, holderLimitA } from './holders';
export type { FitGiven, HolderFit, TapHolder } from './holders';
export {
  LEADS,
  LEAD_FAMILIES,
  LEAD_FAMILY_NAMES,
  familyWithArticle,
  readLead,
  unusedLeads,
} from './leads';
export type { Clash, Lead, LeadFamily } from './leads';
export { lineBladeFrom, orientationProof } from './lineBlade';
export type { ContinuityReadings, LineBlade, OrientationProof } from './lineBlade';
export { JOIN_METHODS, METHOD_FACTS } from './methods';
export type { JoinMethod, JoinPlace, JoinTool, MethodFacts } from './methods';
export { orientationFrom, tapCurrents } from './orientation';
export type { ContactReading, Orientation, TapCurrents } from './orientation';
export { rankCandidates } from './rankCandidates';
export type { Blocked, Candidate, RankInput, Ranking, Unfit } from './candidate';
export { rankSets } from './rankSets';
export type { JobFeed, Loom, RankedSet, SetDifference, SetsInput } from './rankSets';
export { restoreSheet } from './restore';
export type { Done, RestoreStep } from './restore';
export { DEFAULT_SCHOOLS, SCHOOL_CHOICES } from './schools';
export type { Schools } from './schools';
export { isAgainstItsPrint, screenSlot, tapFit, whyNeverTapped, whyOnlyWithReason } from './screen';
export type { Screening } from './screen';
export { feedersOf } from './feeders';
export type { Feeder } from './feeders';
export { stoodBy } from './carriedBy';
export { INLINE_HOLDERS, inlineHolderFor } from './inlineHolders';
export type { InlineHolder } from './inlineHolders';
export { joinLimit, joinRoom } from './joinRoom';
export type { LoadKind, PresentLoad } from './joinRoom';
export { readRelayBase } from './relayBase';
export type { RelayBase } from './relayBase';
export { tooSmallFor } from './tooSmall';
export { SET_RULES, bestSets } from './sets';
export type { SetCandidate, SetFeed, SetRules, SourceSet } from './sets';
