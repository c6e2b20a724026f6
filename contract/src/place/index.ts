export { CavityInput, ConnectorInput, LoomInput, WireLookInput } from './conductors';
export { PanelInput, SlotInput } from './panel';
export { SlotLook } from './slot';
export { inputOf, placeOf, validatePlace } from './placeInput';
export { PointInput, PointsInput, RelaySocketInput } from './points';
