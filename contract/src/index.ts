import 'reflect-metadata';
export {
  CatalogueDevice,
  DEVICE_FILE,
  DeviceFileInput,
  DeviceInput,
  FEED_ROLES,
  FeedInput,
  fittedDevice,
  LEAD_DIRECTIONS,
  MOST_DEVICES,
  POLARITIES,
  SetUpInput,
  SetUpStepInput,
} from './device';
export type {
  CatalogueLeadInput,
  DeviceOptionInput,
  DeviceView,
  DevicesBroughtIn,
  FeedRole,
  LeadDirection,
  LeadPolarity,
} from './device';
export { needsOf } from './needsOf';
export {
  CreateJobRequest,
  HarnessWireInput,
  JobVehicleInput,
  PHASES,
  STEERING_SIDES,
  YEAR_RANGE,
} from './job';
export { JOB_VIEWS, JobFilter } from './jobFilter';
export type { JobsShown } from './jobFilter';
export type {
  JobPage,
  JobSummary,
  JobView,
  Phase,
  ClosingFound,
  SlotSeen,
  SteeringSide,
  StepDone,
} from './job';
export { FeedPlanInput, SizingInput } from './feedPlan';
export {
  CommandHead,
  DeferRequest,
  PutPlanRequest,
  PutRouteRequest,
  PutWiresRequest,
  ReachPhaseRequest,
  SEEN_SCOPES,
  SeeSlotRequest,
  StandingRequest,
  StepRequest,
  ClosingRequest,
  VersionedHead,
} from './command';
export type { SeenScope } from './command';
export { ShowProofRequest } from './proof';
export type { ProofView } from './proof';
export { HandbookEntryRequest } from './handbook';
export { CreateModelRequest, ModelInput, SplitModelRequest } from './model';
export type { PanelInput, SlotInput } from './place/panel';
export type { SlotLook } from './place/slot';
export { SlotMarks, slotSource } from './place/slot';
export { LONGEST_NOTE, NOTE_KINDS, NoteRequest } from './note';
export type { NoteKind, NoteView } from './note';
export type { PlaceInput, PlaceView } from './place/placeInput';
export type { GlossaryEntryView, HandbookEntryView } from './handbook';
export {
  DescribePhotoRequest,
  LONGEST_CAPTION,
  LONGEST_PHOTO_PX,
  MOST_PHOTOS,
  MOST_PHOTO_BYTES,
} from './photo';
export type { PhotoPinInput, PhotoView } from './photo';
export type { ProblemDocument } from './problem';
export { INSTRUMENTS, ReadingRequest, seenOf, shownOf, toCoreReading, toValue } from './reading';
export type { InstrumentName, ReadingView, SeenView, ShownView } from './reading';
export { SignInRequest, USER_ROLES } from './session';
export type { DemoAccount, SessionView, UserRole, UserView } from './session';
export { BodyInput, PassageInput, RouteInput } from './body';
export {
  DEFAULT_SETTINGS,
  SchoolsInput,
  ShopSettings,
  SizingDefaults,
  UpdateShopRequest,
  VanInput,
} from './shop';
export type { ShopView } from './shop';
export { LogTapRequest, leadOf, matrixOf, toTapClaim } from './tapPoint';
export type {
  ImportResult,
  MatrixCell,
  ObservationView,
  TapPage,
  TapPointView,
  TapReadingView,
} from './tapPoint';
export { TAP_CSV_COLUMNS, TapCsvRow } from './tapPointCsv';
export { MOST_PROBLEMS, validate } from './validate';
export { isStorableText, shapeProblem } from './rules/plainShape';
export { isInstant } from './rules/isInstant';
export { MAX_VERSION } from './rules/fields';
export type { FieldProblem } from './fieldProblem';
export type { Validated } from './validate';
export { modelName, modelYears } from './vehicle';
export type { FoundSource, ModelSummary, ModelView, SearchAnswer } from './vehicle';
export { VehicleStateInput } from './vehicleState';
export { MOST_PICKED, PickListRequest } from './pickList';
export type { PickListView, PickedPart } from './pickList';
