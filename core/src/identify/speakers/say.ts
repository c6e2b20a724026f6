import type { VehicleState } from '../../vehicle';
import { placeOf, stateAt } from '../../vehicle';
import type { HarnessSession } from '../harness/session';
import { shownPairs } from '../harness/speakerPairs';
import type { Need } from '../need/needs';
import type { NextAction, PlanInput } from '../plan/nextAction';
import { WORK_SECONDS, changeSeconds } from '../visit/workCosts';
import { listed, raised } from '../plan/sentence';

/** Key at run and lamps on: whatever can be live with the engine off is live, and data lines talk. */
const EVERYTHING_ON: VehicleState = { ...stateAt('run'), lamps: true };

/** Wires to be read with the key on before any two are tried together. */
export function sayToRead(wireIds: readonly string[], input: PlanInput): NextAction {
  const { state: now, clip = 'ground' } = input;
  const stays = now.key === 'run' || now.key === 'engine';
  const state = stays ? now : EVERYTHING_ON;
  const names = wireIds.map((id) => input.sources.get(id)?.name ?? id);
  const arrive = changeSeconds(now, state) + (clip === 'ground' ? 0 : WORK_SECONDS.clip);
  const touch = `touch ${listed(names)}`;
  const onGround = clip === 'ground' ? '' : 'meter clipped to bare metal, ';
  return {
    kind: 'visit',
    visit: {
      ...{ place: placeOf(state), state, sourceIds: wireIds, withLamp: [] },
      seconds: arrive + wireIds.length * WORK_SECONDS.probe,
      firstSeconds: arrive + WORK_SECONDS.probe,
      clip: 'ground',
    },
    instruction: raised(
      stays ? `${onGround}${touch}.` : `Key to run, parking lamps on, ${onGround}then ${touch}.`,
    ),
    because: 'A speaker’s lead is dead with everything on; nothing else may get 9 V.',
    caution:
      'Touch with the meter or a lamp only, one wire at a time. Yellow sleeves and airbag plugs stay shut.',
  };
}

/** Speakers that two pairs were said to be: one of them is another, or hangs beside it. */
export function namedTwice({ readings, wires }: HarnessSession): string[] {
  const nameOf = (id: string): string => wires.find((one) => one.id === id)?.name ?? id;
  const pairs = shownPairs(readings, wires);
  const speakers = [...new Set(pairs.flatMap(({ speaker }) => speaker ?? []))];
  return speakers.flatMap((speaker) => {
    const own = pairs.filter((one) => one.speaker === speaker);
    if (own.length < 2) return [];
    const named = own.map(({ plusId, minusId }) => `${nameOf(plusId)} with ${nameOf(minusId)}`);
    return [
      `${raised(speaker)} was heard on ${listed(named)}: withdraw the pop that was another speaker, unless two hang there.`,
    ];
  });
}

/** What is said when no pair is left that is worth a try. */
export function sayAnswered(
  open: readonly Need[],
  { session, untold }: { readonly session: HarnessSession; readonly untold: readonly string[] },
): NextAction {
  const needIds = open.map(({ id }) => id);
  if (session.wires.length === 0)
    return {
      ...{ kind: 'exhausted', needIds },
      instruction:
        'Lay out the cut wires behind the radio: speakers are found there pair by pair, and 9 V goes on no wire that is not cut.',
    };
  const nameOf = (id: string): string => session.wires.find((one) => one.id === id)?.name ?? id;
  const speakers = [...new Set(open.flatMap(({ speaker }) => speaker ?? []))];
  const unnamed = shownPairs(session.readings, session.wires).filter(
    (one) => one.speaker === undefined,
  );
  const said = [
    ...namedTwice(session),
    `${raised(listed(speakers.length > 0 ? speakers : ['the speaker']))}: no pair left that answers.`,
    ...(unnamed.length === 0
      ? []
      : [
          `${unnamed.map(({ plusId, minusId }) => `${nameOf(plusId)} with ${nameOf(minusId)}`).join(', ')} ${unnamed.length === 1 ? 'is a coil' : 'are coils'}: which speaker, and which lead is plus, only 9 V tells.`,
        ]),
    ...(untold.length === 0
      ? []
      : [
          `Not told: ${listed(untold.map(nameOf))}. Ohms or a multimeter tell a coil from a data pair.`,
        ]),
    unnamed.length === 0 && untold.length === 0
      ? 'Where there is no such speaker its output stays capped, both leads by themselves; behind an amplifier of the car its own inputs want the maker’s diagram.'
      : '',
  ];
  return { kind: 'exhausted', needIds, instruction: said.filter(Boolean).join(' ') };
}
