export { feedLoadOf, feedSizeOf } from './feedSize';
export { movedTo, withFeedPlan } from './feedPlans';
export { buildPlanOf } from './buildPlan';
export type { BuildPlan } from './buildPlan';
export { diagramLeadsOf } from './diagramLeads';
export { PAPER_KINDS } from './papers/paper';
export type { Paper, PaperBlock, PaperKind } from './papers/paper';
export { SHEETS, paperDocument } from './papers/paperDocument';
export type { Sheet } from './papers/paperDocument';
export { paperOf } from './papers/papersOf';
export type { PapersGiven } from './papers/papersOf';
export { restoreStepsOf } from './restoreSteps';
export { GROUND_LEAD, bodyOf, routeChoicesOf, routeOf, taughtBody } from './route';
export type { JobRoute, RouteChoices } from './route';
export { LONGEST_GUIDE, guideInBox, isGuide, notedGuide } from './guide';
export { DRAIN_ITEMS, closingValue, drainOf, standbyOf } from './drain';
export { faultRecordOf } from './faultRecord';
export type { FaultRecord } from './faultRecord';
export { drawnBy, feedProofsOf, missingProofs } from './proving';
export type { FeedProofs, ProvingOf, StandingCheck } from './proving';
export { handOverLeft, handOverOf } from './handOver';
export type { StandingTest } from './handOver';
export { findSessionOf } from './findSession';
export type { ProbingOf, SessionOf } from './findSession';
export { tapOfOthers } from './jobContext';
export type { JobContext } from './jobContext';
export {
  givesToTheKeysWires,
  heavyFeeds,
  isAtSlot,
  isJoined,
  isWholeJob,
  openFeeds,
  slotFeeds,
  tappedFeeds,
} from './jobFeeds';
export type { FeedsOf, SlotFeed, TappedFeed } from './jobFeeds';
export { logFindingsOf } from './logFindings';
export type { LogFindings } from './logFindings';
export { jointOf, plannedTapsOf } from './plannedTaps';
export { setsInputOf } from './setsInput';
export { sheetGivenOf } from './sheetGiven';
export {
  BUNCH_PLACE,
  bunchesOf,
  closedPlaces,
  jobSourcesOf,
  loomsOf,
  panelsOf,
  placeIdOf,
  slotsOf,
  sourcesOf,
  wiresAt,
} from './sources';
export type { Placed, PlacedSource, SourcesOf } from './sources';
export { foundPanel, panelInHand, seenBy, seenId, withSlot } from './seen';
export { contactReadings, orientationAt, supplyLandmarkOf } from './supplySide';
export { matchingListOf, meetingWords } from './matchingList';
export type { ListedLead, MatchedLead, MatchedTo, MatchingList } from './matchingList';
export { titleOf } from './titleOf';
export { leadWords, speakerWiresOf } from './speakerWires';
export type { SpeakerWire } from './speakerWires';
export { mayChain, mayMeet, metThere, takenByOthers } from './metLeads';
