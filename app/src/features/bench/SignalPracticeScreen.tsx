import type { GeneratedBunch } from '@lucky-thread/core/bench';
import { practiceBunch, seededRandom } from '@lucky-thread/core/bench';
import type { FindAdvice, FindSession, Reading } from '@lucky-thread/core/identify';
import { soughtBy } from '@lucky-thread/core/identify';
import type { BunchBench } from '@lucky-thread/core/trial';
import { bunchBench } from '@lucky-thread/core/trial';
import type { VehicleState } from '@lucky-thread/core/vehicle';
import { WIRE_COLOURS, nextState } from '@lucky-thread/core/vehicle';
import { useMemo, useState } from 'react';
import { StateSwitches } from '../../instruments/StateSwitches';
import { WireStrip } from '../../panel/WireStrip';
import { useWide } from '../../ui/Screen';
import { WithDock } from '../../ui/WithDock';
import { askPlanner } from '../../workers/planner';
import { useAnswer } from '../../workers/useAnswer';
import type { Level } from './levels';
import { PracticeHead } from './PracticeHead';
import { PracticeReport } from './PracticeReport';
import { SignalDock } from './SignalDock';
import { HandOverQuestions, SignalLeads } from './SignalLeads';
import { needsOf } from './signalLevels';
import type { SignalAnswer, SignalAnswers } from './signalPractice';
import { NO_ANSWERS, signalReport } from './signalPractice';

/** Props of {@link SignalPracticeScreen}. */
export interface SignalPracticeProps {
  /** What is practised. */
  readonly level: Extract<Level, { kind: 'signals' }>;
  /** Number of the exercise: the same number is the same exercise. */
  readonly seed: number;
  /** Called to leave the exercise. */
  readonly onLeave: () => void;
  /** Called for another exercise of the same kind. */
  readonly onAnother: () => void;
}

/** What was seen at a bench that keeps its own list. */
interface Seen {
  readonly readings: readonly Reading[];
  readonly state: VehicleState;
  readonly clip: 'ground' | 'constant';
}

/** A bunch on the bench, what was seen at it, and what the trainee made of it. */
function useSignalPractice({ level, seed }: SignalPracticeProps) {
  const [made] = useState(() => {
    const bunch = practiceBunch(level.bunch, seed);
    return { bunch, bench: bunchBench(bunch, seed), wires: coloured(bunch, seed) };
  });
  const [seen, setSeen] = useState(() => seenAt(made.bench));
  const [answers, setAnswers] = useState(NO_ANSWERS);
  return {
    ...made,
    seen,
    answers,
    act: (action: (bench: BunchBench) => void): void => {
      action(made.bench);
      setSeen(seenAt(made.bench));
    },
    answer: (id: string, one: SignalAnswer): void =>
      setAnswers((now) => ({ ...now, leads: { ...now.leads, [id]: one } })),
    answerTest: (id: string, must: string): void =>
      setAnswers((now) => ({ ...now, handOver: { ...now.handOver, [id]: must } })),
  };
}

/** Practice on signals: a wire for every lead of a device, and how it is joined. */
export function SignalPracticeScreen(props: SignalPracticeProps) {
  const { level, seed } = props;
  const practice = useSignalPractice(props);
  const { bunch, bench, seen, answers } = practice;
  const [wireId, setWireId] = useState<string>();
  const [helped, setHelped] = useState(false);
  const [finished, setFinished] = useState(false);
  const wide = useWide();
  const advice = useAdvice(bunch.wires, level, seen);
  if (finished) {
    const { seconds, probes, harm } = bench.effort();
    return (
      <PracticeReport
        lines={signalReport(bunch, level, { car: bench.car, answers, harm })}
        {...{ seconds, probes }}
        car={{ kind: 'signals', seed, bunch: level.bunch, needs: needsOf(level) }}
        onBack={() => setFinished(false)}
        onAnother={props.onAnother}
        onLeave={props.onLeave}
      />
    );
  }
  const shown = helped ? advice : undefined;
  const dock = (
    <SignalDock
      {...{ bench, wireId, leads: level.leads, advice: shown, onAct: practice.act }}
      onTake={(id) => practice.answer(id, { ...answers.leads[id], wireId })}
    />
  );
  const questions = <Questions level={level} practice={practice} />;
  return (
    <WithDock
      testID="practice"
      dock={
        <>
          {dock}
          {wide && questions}
        </>
      }
    >
      <PracticeHead
        title={level.title}
        helped={helped}
        onHelp={() => setHelped(!helped)}
        onFinish={() => setFinished(true)}
      />
      <StateSwitches
        state={seen.state}
        onChange={(change) => practice.act((one) => one.go(nextState(one.state(), change)))}
      />
      <PracticeWires
        {...{ wires: practice.wires, advice: shown, wireId, onWire: setWireId }}
        names={namesIn(level, answers)}
      />
      {!wide && questions}
    </WithDock>
  );
}

function Questions(props: {
  readonly level: SignalPracticeProps['level'];
  readonly practice: ReturnType<typeof useSignalPractice>;
}) {
  const { level, practice } = props;
  const { answers, answer, answerTest } = practice;
  return (
    <>
      <SignalLeads {...{ leads: level.leads, answers, onAnswer: answer }} />
      <HandOverQuestions {...{ level, answers, onAnswer: answerTest }} />
    </>
  );
}

const COLOURS = Object.keys(WIRE_COLOURS);

/** Colours by chance: of these, none is a proof of anything. */
function coloured(
  { wires }: GeneratedBunch,
  seed: number,
): readonly { readonly id: string; readonly colour: string }[] {
  const random = seededRandom(seed);
  const drawn = (): string => COLOURS[Math.floor(COLOURS.length * random())] ?? 'BK';
  return wires.map(({ id }) => {
    const [base, stripe] = [drawn(), drawn()];
    return { id, colour: base === stripe ? base : `${base}/${stripe}` };
  });
}

function seenAt(bench: BunchBench): Seen {
  return { readings: [...bench.readings], state: bench.state(), clip: bench.clip() };
}

/** What each wire was taken for, by wire. */
function namesIn(
  level: SignalPracticeProps['level'],
  { leads }: SignalAnswers,
): ReadonlyMap<string, string> {
  const names = new Map<string, string>();
  for (const { id, name } of level.leads) {
    const taken = leads[id]?.wireId;
    if (taken !== undefined)
      names.set(taken, names.has(taken) ? `${names.get(taken) ?? ''}, ${name}` : name);
  }
  return names;
}

function PracticeWires(props: {
  readonly wires: readonly { readonly id: string; readonly colour: string }[];
  readonly names: ReadonlyMap<string, string>;
  readonly advice: FindAdvice | undefined;
  readonly wireId: string | undefined;
  readonly onWire: (id: string) => void;
}) {
  const { advice } = props;
  const wanted = advice?.next.kind === 'visit' ? advice.next.visit.sourceIds : [];
  return (
    <WireStrip
      name="Wires of the bunch"
      wires={props.wires.map(({ id, colour }) => {
        const name = props.names.get(id);
        const title = name === undefined ? id : `${id} · ${name}`;
        return { kind: 'wire' as const, id, colour, name: title };
      })}
      verdicts={new Map(advice?.verdicts.map((one) => [one.sourceId, one]) ?? [])}
      selectedId={props.wireId}
      wantedIds={new Set(wanted)}
      onTouch={props.onWire}
    />
  );
}

function useAdvice(
  wires: readonly { readonly id: string }[],
  level: SignalPracticeProps['level'],
  { readings, state, clip }: Seen,
): FindAdvice | undefined {
  const session = useMemo((): FindSession => {
    const needs = needsOf(level);
    const sought = soughtBy(needs);
    return {
      ...{ readings, state, clip, needs, on: readings.at(-1)?.sourceId },
      sources: wires.map(({ id }) => ({
        ...{ kind: 'wire' as const, id, name: id, legend: undefined, sought },
        ...{ fitted: true, tappable: true, logged: undefined },
      })),
    };
  }, [wires, level, readings, state, clip]);
  return useAnswer(session, askPlanner).answer;
}
