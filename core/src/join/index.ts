export { joinSignal } from './joinSignal';
export type { SignalJoint, SignalLead } from './joinSignal';
export { demanded, everyInput } from './relayDemand';
export type { RelayDemand, RelayInputs, RelayOutcome, Trigger } from './relayDemand';
export { OUTSIDE, designRelays } from './relayDesign';
export type { RelayDesign } from './relayDesign';
export { checkDesign, simulateRelays } from './simulateRelays';
export type { RelayRow, RelayState } from './simulateRelays';
