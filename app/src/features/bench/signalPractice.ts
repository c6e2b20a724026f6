import type { BenchCar, GeneratedBunch } from '@lucky-thread/core/bench';
import { handOverTests } from '@lucky-thread/core/prove';
import type { BunchHarm, JointChoice, JointOutcome } from '@lucky-thread/core/trial';
import { choiceOf, jointOutcome } from '@lucky-thread/core/trial';
import { describeState, stateAt } from '@lucky-thread/core/vehicle';
import type { ReportLine } from './panelReport';
import type { PracticeLead, SignalLevel } from './signalLevels';

/** Said of a lead: no wire of the bunch is for it. */
export const NOT_HERE = 'not here';

/** What the trainee made of one lead. */
export interface SignalAnswer {
  /** A wire, or `NOT_HERE`. */
  readonly wireId?: string;
  /** How it is joined; undefined while nothing was chosen. */
  readonly joint?: JointChoice;
}

/** Answers by lead, and what each test before hand-over must come to, by test. */
export interface SignalAnswers {
  /** The answer for each lead, by its id. */
  readonly leads: Readonly<Record<string, SignalAnswer>>;
  /** The answer for each test before the hand-over, by its id. */
  readonly handOver: Readonly<Record<string, string>>;
}

/** Nothing answered yet. */
export const NO_ANSWERS: SignalAnswers = { leads: {}, handOver: {} };

/** What joints are called. */
export const JOINT_WORDS: Record<JointChoice, string> = {
  itself: 'As it is',
  relay: 'One relay',
  twoRelays: 'Two relays, wires cut',
  resistor: 'Resistor',
  module: 'A module, no joint',
};

/** The tests before hand-over of a level that come to something the car does. */
export function testsOf({ handOver }: SignalLevel): ReturnType<typeof handOverTests> {
  if (handOver !== true) return [];
  return handOverTests({ family: 'remoteStart', roles: [] }).filter(({ must }) =>
    must.startsWith('It must '),
  );
}

/** What was right about a bunch, what its joints would have burnt, and what the instruments did. */
export function signalReport(
  bunch: GeneratedBunch,
  level: SignalLevel,
  done: {
    readonly car: BenchCar;
    readonly answers: SignalAnswers;
    readonly harm: readonly BunchHarm[];
  },
): ReportLine[] {
  const placed = level.leads.map((lead) => placeLine(bunch, lead, done.answers.leads[lead.id]));
  const wrong = placed.filter((line) => !line.good);
  return [
    {
      good: wrong.length === 0,
      text: `${placed.length - wrong.length} of ${placed.length} leads found their wire, or were rightly said not to have one.`,
    },
    ...wrong,
    ...jointLines(bunch, level, done),
    ...harmLines(done.harm),
    ...handOverLines(level, done.answers),
  ];
}

/** Wires that are right for a lead. */
export function wiresFor(bunch: GeneratedBunch, { id }: PracticeLead): readonly string[] {
  if (id === 'ground' || id === 'illumination')
    return bunch.wires
      .filter(({ behind }) => (id === 'ground' ? behind.is === 'ground' : isLit(behind)))
      .map((wire) => wire.id);
  return bunch.carries.get(id) ?? [];
}

/** Parking lamps and panel bulbs both light a display’s lead. */
function isLit(behind: GeneratedBunch['wires'][number]['behind']): boolean {
  return behind.is === 'illumination' || (behind.is === 'feed' && behind.supply === 'lampSwitch');
}

function placeLine(
  bunch: GeneratedBunch,
  lead: PracticeLead,
  answer: SignalAnswer | undefined,
): ReportLine {
  const wires = wiresFor(bunch, lead);
  const good =
    wires.length === 0 ? answer?.wireId === NOT_HERE : wires.includes(answer?.wireId ?? '');
  const is =
    wires.length === 0 ? `has no wire in this bunch: ${lead.wayRound}` : `is ${wires.join(' or ')}`;
  const said = answer?.wireId === undefined ? 'nothing said' : `you said ${answer.wireId}`;
  return { good, text: good ? lead.name : `${lead.name} ${is} (${said}).` };
}

function jointLines(
  bunch: GeneratedBunch,
  level: SignalLevel,
  { car, answers }: { readonly car: BenchCar; readonly answers: SignalAnswers },
): ReportLine[] {
  const lines = level.leads.flatMap((lead): ReportLine[] => {
    const { wireId, joint: choice } = answers.leads[lead.id] ?? {};
    if (lead.joint === undefined || wireId === undefined || wireId === NOT_HERE) return [];
    const isRight = wiresFor(bunch, lead).includes(wireId);
    if (choice === undefined)
      return isRight ? [{ good: false, text: `${lead.name}: no joint chosen.` }] : [];
    const outcome = jointOutcome(bunch, car, { wireId, lead: lead.joint, choice });
    // On a wrong wire nothing can be right; only what it would have hurt is worth a word.
    if (!isRight && isHarmless(outcome)) return [];
    const text = outcomeWords(outcome, { lead, wireId, choice });
    return [{ good: isHarmless(outcome) && outcome.works, text }];
  });
  const bad = lines.filter((line) => !line.good);
  if (lines.length === 0) return [];
  return bad.length > 0
    ? bad
    : [{ good: true, text: 'Every joint does what it must, and burns nothing.' }];
}

function isHarmless({ burns, disturbs }: JointOutcome): boolean {
  return !burns && !disturbs;
}

function outcomeWords(
  outcome: JointOutcome,
  by: { readonly lead: PracticeLead; readonly wireId: string; readonly choice: JointChoice },
): string {
  const { amps, at, wanted } = outcome;
  const head = `${by.lead.name} onto ${by.wireId} (${JOINT_WORDS[by.choice].toLowerCase()})`;
  const right =
    wanted === undefined
      ? 'This wire gives it nothing.'
      : `Right: ${JOINT_WORDS[choiceOf(wanted)].toLowerCase()}. ${wanted.because}`;
  if (outcome.disturbs)
    return `${head} loads a data or sensor line: modules lose each other. ${right}`;
  if (outcome.burns && at !== undefined) {
    const through =
      by.choice === 'relay'
        ? 'the relay’s 10 A fuse'
        : `an output for ${by.lead.joint?.standsA ?? 0} A`;
    return `${head}: ${Math.round(amps)} A through ${through} (${describeState(stateAt(at))}). Burnt. ${right}`;
  }
  return outcome.works ? head : `${head} does not do it. ${right}`;
}

const HARM_WORDS: Record<BunchHarm['kind'], string> = {
  'lamp on data': 'The filament lamp was put on a data or sensor line',
  'ohms on live': 'The ohmmeter was put on a live wire',
};

function harmLines(harm: readonly BunchHarm[]): ReportLine[] {
  if (harm.length === 0) return [{ good: true, text: 'No instrument was put where it hurts.' }];
  return (['lamp on data', 'ohms on live'] as const).flatMap((kind) => {
    const wires = new Set(harm.filter((one) => one.kind === kind).map(({ wireId }) => wireId));
    return wires.size === 0
      ? []
      : [{ good: false, text: `${HARM_WORDS[kind]}: ${[...wires].join(', ')}.` }];
  });
}

function handOverLines(level: SignalLevel, { handOver }: SignalAnswers): ReportLine[] {
  const tests = testsOf(level);
  const wrong = tests.filter(({ id, must }) => handOver[id] !== must);
  if (tests.length === 0) return [];
  return [
    {
      good: wrong.length === 0,
      text: `${tests.length - wrong.length} of ${tests.length} tests before hand-over known.`,
    },
    ...wrong.map(({ what, must }) => ({ good: false, text: `${what} ${must}` })),
  ];
}
