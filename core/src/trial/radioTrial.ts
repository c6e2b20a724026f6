import type { GeneratedHarness } from '../bench';
import type { FindAdvice, Need, ProbeSource, Reading } from '../identify';
import { WORK_SECONDS, newAdviser, soughtBy } from '../identify';
import type { CircuitFunction, SpeakerPlace } from '../vehicle';
import { endOf } from './byPlan';
import type { HarnessEffort, HarnessTrial } from './harnessTrial';

/** The four corners that every radio drives. */
const CORNERS: readonly SpeakerPlace[] = ['front left', 'front right', 'rear left', 'rear right'];

/** A radio's leads: memory, accessory, illumination, and both ends of four speakers. */
export const RADIO_LEADS: readonly Need[] = [
  { id: 'memory', role: 'constant' },
  { id: 'accessory', role: 'switched', liveInAcc: true },
  { id: 'illumination', role: 'illumination' },
  ...CORNERS.flatMap((speaker): Need[] => [
    { id: `${speaker} +`, role: 'speakerPlus', speaker },
    { id: `${speaker} -`, role: 'speakerMinus', speaker },
  ]),
];

/** What an installer calls a speaker that a bench names otherwise. */
const SAID: Readonly<Record<string, SpeakerPlace>> = {
  'left door': 'front left',
  'right door': 'front right',
  'left rear': 'rear left',
  'right rear': 'rear right',
};

/** A speaker in the installer's words. */
function saidOf(speaker: string | undefined): string | undefined {
  return speaker === undefined ? undefined : (SAID[speaker] ?? speaker);
}

/** A reading as an installer enters it. */
function entered(reading: Reading): Reading {
  const { value } = reading;
  return value.kind === 'pop'
    ? { ...reading, value: { ...value, speaker: saidOf(value.speaker) } }
    : reading;
}

/** What looking for a radio's leads in a cut bunch came to. */
export interface RadioSearch {
  readonly advice: FindAdvice;
  /** A wait for sleep counts as the touch that ends it. */
  readonly effort: HarnessEffort;
}

/** More actions than any bunch needs; reaching it is a fault of the plan. */
const MOST_ACTIONS = 400;

/**
 * Follows the one plan through a cut bunch for all leads of a radio, one touch or pop per step; the plan is asked anew after
 * each.
 *
 * @throws Error when it does not end.
 */
export function* radioSteps(
  trial: HarnessTrial,
  needs: readonly Need[] = RADIO_LEADS,
): Generator<RadioSearch, RadioSearch, void> {
  const sought = soughtBy(needs);
  const sources = trial.wires.map(({ id, name, colour, tapedWith }): ProbeSource => ({
    ...{ kind: 'wire', id, name, legend: undefined, logged: undefined, sought },
    ...{ fitted: true, tappable: tapedWith === undefined, cut: { colour, tapedWith } },
  }));
  const adviseOn = newAdviser();
  let waited = 0;
  const effort = (): HarnessEffort => {
    const whole = trial.effort();
    return { ...whole, seconds: whole.seconds - waited };
  };
  for (let action = 0; action < MOST_ACTIONS; action += 1) {
    const advice = adviseOn({
      ...{ sources, readings: trial.readings.map(entered) },
      ...{ state: trial.state(), needs, clip: trial.clip() },
      ...{ lamp: true, on: trial.readings.at(-1)?.sourceId },
    });
    const { next } = advice;
    if (next.kind === 'visit') {
      const { state, clip = 'ground', instrument, sourceIds } = next.visit;
      if (state.asleep && !trial.state().asleep) waited += WORK_SECONDS.sleep;
      trial.go(state);
      trial.clipTo(clip);
      trial.probe(sourceIds[0] ?? '', instrument);
    } else if (next.kind === 'pair') {
      trial.go(next.state);
      if (next.by === 'pop') trial.pop(next.plusId, next.minusId);
      else trial.ohmsBetween(next.plusId, next.minusId);
    } else return { advice, effort: effort() };
    yield { advice, effort: effort() };
  }
  throw new Error(`The search has not ended after ${MOST_ACTIONS} actions`);
}

/** Follows the plan to its end. */
export function searchRadio(trial: HarnessTrial, needs?: readonly Need[]): RadioSearch {
  return endOf(radioSteps(trial, needs));
}

/** How leads came out. */
export interface LeadScore {
  /** Named right, or rightly said not to be there. */
  readonly right: number;
  /** Named, but another wire's, or the other end. */
  readonly wrong: number;
  /** There, and not found. */
  readonly missed: number;
}

/** What a wire must be for each supply; what stays on until a door opens gives all that accessory asks for. */
const SUPPLIES: Readonly<Record<string, readonly CircuitFunction[]>> = {
  memory: ['constant'],
  accessory: ['accessory', 'retainedAccessory'],
  illumination: ['lamps', 'dimmedIllumination'],
};

/** The leads that a search named, against the truth of the bunch. */
export function scoreRadio(harness: GeneratedHarness, { filled }: FindAdvice): LeadScore {
  let [right, wrong, missed] = [0, 0, 0];
  for (const need of RADIO_LEADS) {
    const wires = wiresFor(need, harness);
    const found = filled[need.id];
    if (found === undefined ? wires.length === 0 : wires.includes(found)) right += 1;
    else if (found === undefined) missed += 1;
    else wrong += 1;
  }
  return { right, wrong, missed };
}

/** The wires of a bunch that truly are what a lead wants. */
function wiresFor({ id, role, speaker }: Need, { roles }: GeneratedHarness): string[] {
  return Object.entries(roles).flatMap(([wire, is]) => {
    const isIt =
      speaker === undefined
        ? SUPPLIES[id]?.includes(is.role) === true
        : is.role === 'speaker' &&
          !is.amplified &&
          saidOf(is.speaker) === speaker &&
          is.positive === (role === 'speakerPlus');
    return isIt ? [wire] : [];
  });
}
