import { placeOf } from '../../vehicle';
import type { HarnessSession } from './session';
import { isByLamp } from './session';
import type { WireVisit } from './wireTests';

const LIVE_ENDS =
  'Live ends are bare: one wire at a time, cap each again at once. The probe touches one wire and nothing else.';

/** One sentence for a look at wires, why, and what can hurt. */
export function describeVisit(
  visit: WireVisit,
  names: readonly string[],
  session: HarnessSession,
): { instruction: string; because: string; caution: string | undefined } {
  const stays =
    placeOf(session.state) === placeOf(visit.look.state) &&
    (session.clip ?? 'ground') === visit.look.clip;
  const touch = `touch ${listed(names, session.wires.length)}`;
  const instruction = stays
    ? capitalised(`${touch}.`)
    : `${arriveAt(visit.look.name, session)}, then ${touch}.`;
  const caution =
    isByLamp(session) && visit.look.instrument === 'meter' ? `${LIVE_ENDS} ${LAMP}` : LIVE_ENDS;
  return { instruction, because: REASONS[visit.look.name], caution };
}

const LAMP = 'A lamp loads what it touches: never on yellow-sleeved or airbag wires.';

function arriveAt(look: WireVisit['look']['name'], session: HarnessSession): string {
  return isByLamp(session) ? ARRIVE[look].replace('meter clipped', 'lamp clipped') : ARRIVE[look];
}

const ARRIVE: Record<WireVisit['look']['name'], string> = {
  'everything on': 'Key to run, lamps on, meter clipped to ground',
  off: 'Key off, lamps off, meter clipped to ground',
  acc: 'Key to accessory, lamps off, meter clipped to ground',
  parkingBrake: 'Key off, parking brake on, meter clipped to ground',
  run: 'Key to run, lamps off, meter clipped to ground',
  'ohms to ground': 'Key off, ohmmeter to bare metal',
  'from the constant': 'Key off, lamp clipped to the constant',
};

const REASONS: Record<WireVisit['look']['name'], string> = {
  'everything on': 'Whatever can be live is live now, and data lines show their bias.',
  off: 'With the key off only the constant stays live.',
  acc: 'The accessory lives here, illumination does not.',
  parkingBrake: 'A switch wire falls to ground; a supply does not.',
  run: 'Ignition lives here, illumination does not.',
  'ohms to ground': 'Ground shows hardly any ohms; a load shows some, an open wire none.',
  'from the constant': 'Clipped to the constant, the lamp burns on ground and on nothing else.',
};

function listed(names: readonly string[], all: number): string {
  if (names.length === all) return 'every wire in turn';
  if (names.length > 6) return `these ${names.length} wires in turn`;
  if (names.length <= 1) return names.join('');
  return `${names.slice(0, -1).join(', ')} and ${names[names.length - 1] ?? ''}`;
}

function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
