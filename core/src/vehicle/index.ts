export { KEY_POSITIONS, PARKED, TOGGLES, nextState } from './vehicleState';
export type {
  KeyPosition,
  LockSwitch,
  StateChange,
  StateToggle,
  VehicleState,
} from './vehicleState';
export {
  BASE_PLACES,
  PLACE_WORDS,
  SHED_MINUTES,
  STITCH_PLACES,
  describeState,
  hasWaited,
  placeOf,
  stateAt,
  stateId,
} from './stitchPlace';
export type { StitchPlace } from './stitchPlace';
export {
  CIRCUIT_FUNCTIONS,
  FUNCTION_NAMES,
  STANDING_FUNCTIONS,
  SWITCHED_FUNCTIONS,
} from './circuitFunction';
export type { CircuitFunction, FunctionName } from './circuitFunction';
export { checkDigit, decodeVin, weightedSum } from './vin';
export { vinInText } from './vinInText';
export type { DecodedVin, VinResult } from './vin';
export { FUSE_FAMILIES, FUSE_FAMILY_FACTS } from './fuseFamily';
export type { FuseFamily, FuseFamilyFacts } from './fuseFamily';
export type { Panel, Slot, SlotContact } from './panel';
export { LEAD_POINT, LEAD_SPOTS, isLeadPoint, leadPointId } from './leadPoint';
export type { LeadSpot } from './leadPoint';
export { BODY_SIDES, BODY_ZONES, PLACE_KINDS, PLACE_KIND_NAMES, panelsIn } from './place';
export type { BodySide, BodyZone, Place, PlaceKind, Reach } from './place';
export { planSpots } from './bodyPlan';
export type { PlanSpot } from './bodyPlan';
export {
  RELAY_TERMINALS,
  SOURCE_KINDS,
  isConductor,
  isJoinable,
  isPowerPoint,
  markOf,
  nameOf,
} from './source';
export type {
  CavitySource,
  Conductor,
  GroundSource,
  Joinable,
  PowerPoint,
  RelayTerminalSource,
  SlotSource,
  Source,
  SourceKind,
  StudSource,
  WireLook,
  WireSource,
} from './source';
export { applies } from './applicability';
export type { Applicability, ApplicabilityVerdict, VehicleFacts } from './applicability';
export { COLOUR_SYSTEMS, WIRE_COLOURS, describeWireColour, parseWireColour } from './wireColour';
export type { ColourSystem, WireColour, WireColourCode } from './wireColour';
export { freeCell } from './freeCell';
export { MOST_SLOTS, MOST_WIRES } from './typed/limits';
export { POSITION, nextPosition } from './typed/position';
export { SPEAKER_PLACES } from './speakerPlace';
export type { SpeakerPlace } from './speakerPlace';
