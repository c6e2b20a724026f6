import { measuredBetween } from '../reading/between';
import type { WireBelief } from './beliefs';
import type { HarnessSession } from './session';
import { isDeadAwake, isUnfed } from './wireTests';

/** Data and sensor lines are fenced off well before they are sure; a wire is popped only below this. */
const POP_RISK = 0.004;

/** A wire may be popped once it was read awake with the key on, dead every time, and is no data or sensor line. */
export function popSafety(belief: WireBelief, session: HarnessSession): true | string {
  if (belief.role === 'amplifier') return 'an amplifier drives it';
  // A coil between two wires is a speaker, whatever ghost stands on them.
  if (measuredBetween(session.readings).get(belief.wire.id) === 'coil')
    return isUnfed(belief.wire.id, session) || 'not read dead with the key on';
  if (!isDeadAwake(belief.wire.id, session)) return 'not read dead with the key on';
  const { functions } = belief.given;
  if (functions.dataBus > POP_RISK) return 'may be a data line';
  return functions.sensor + functions.lockMultiplex > POP_RISK ? 'may be a sensor line' : true;
}
