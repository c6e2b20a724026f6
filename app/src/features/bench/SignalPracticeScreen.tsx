import { practiceBunch } from '@lucky-thread/core/bench';
import type { FindAdvice, FindSession, Reading } from '@lucky-thread/core/identify';
import { soughtBy } from '@lucky-thread/core/identify';
import type { BunchBench } from '@lucky-thread/core/trial';
import { bunchBench } from '@lucky-thread/core/trial';
import type { VehicleState } from '@lucky-thread/core/vehicle';
import { nextState } from '@lucky-thread/core/vehicle';
import { useMemo, useState } from 'react';
import { StateSwitches } from '../../instruments/StateSwitches';
import { WireStrip } from '../../panel/WireStrip';
import { WithDock } from '../../ui/WithDock';
import { askPlanner } from '../../workers/planner';
import { useAnswer } from '../../workers/useAnswer';
import type { Level } from './levels';
import { PracticeHead } from './PracticeHead';
import { PracticeReport } from './PracticeReport';
import { SignalDock } from './SignalDock';
import { HandOverQuestions, SignalLeads } from './SignalLeads';
import { needsOf } from './signalLevels';
import type { SignalAnswers } from './signalPractice';
import { NO_ANSWERS, signalReport } from './signalPractice';

/** Props of {@link SignalPracticeScreen}. */
export interface SignalPracticeProps {
  readonly level: Extract<Level, { kind: 'signals' }>;
  readonly seed: number;
  readonly onLeave: () => void;
  readonly onAnother: () => void;
}

/** What was seen at a bench that keeps its own list. */
interface Seen {
  readonly readings: readonly Reading[];
  readonly state: VehicleState;
  readonly clip: 'ground' | 'constant';
}

/** Practice on signals: a wire for every lead of a device, and how it is joined. */
export function SignalPracticeScreen(props: SignalPracticeProps) {
  const { level, seed } = props;
  const [made] = useState(() => {
    const bunch = practiceBunch(level.bunch, seed);
    return { bunch, bench: bunchBench(bunch, seed) };
  });
  const [seen, setSeen] = useState(() => seenAt(made.bench));
  const [answers, setAnswers] = useState(NO_ANSWERS);
  const [wireId, setWireId] = useState<string>();
  const [helped, setHelped] = useState(false);
  const [finished, setFinished] = useState(false);
  const advice = useAdvice(made.bunch.wires, level, seen);
  const act = (action: (bench: BunchBench) => void): void => {
    action(made.bench);
    setSeen(seenAt(made.bench));
  };
  if (finished)
    return (
      <PracticeReport
        lines={signalReport(made.bunch, level, {
          ...{ car: made.bench.car, answers, harm: made.bench.effort().harm },
        })}
        seconds={made.bench.effort().seconds}
        probes={made.bench.effort().probes}
        car={{ kind: 'signals', seed, bunch: level.bunch, needs: needsOf(level) }}
        onBack={() => setFinished(false)}
        onAnother={props.onAnother}
        onLeave={props.onLeave}
      />
    );
  const shown = helped ? advice : undefined;
  return (
    <WithDock
      testID="practice"
      dock={<SignalDock bench={made.bench} wireId={wireId} advice={shown} onAct={act} />}
    >
      <PracticeHead
        title={level.title}
        helped={helped}
        onHelp={() => setHelped(!helped)}
        onFinish={() => setFinished(true)}
      />
      <StateSwitches
        state={seen.state}
        onChange={(change) => act((bench) => bench.go(nextState(bench.state(), change)))}
      />
      <PracticeWires
        ids={made.bunch.wires.map(({ id }) => id)}
        names={namesIn(level, answers)}
        advice={shown}
        wireId={wireId}
        onWire={setWireId}
      />
      <SignalLeads
        leads={level.leads}
        answers={answers}
        wireId={wireId}
        onAnswer={(id, answer) =>
          setAnswers({ ...answers, leads: { ...answers.leads, [id]: answer } })
        }
      />
      <HandOverQuestions
        level={level}
        answers={answers}
        onAnswer={(id, must) =>
          setAnswers({ ...answers, handOver: { ...answers.handOver, [id]: must } })
        }
      />
    </WithDock>
  );
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
  readonly ids: readonly string[];
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
      wires={props.ids.map((id) => {
        const name = props.names.get(id);
        return { kind: 'wire' as const, id, name: name === undefined ? id : `${id} · ${name}` };
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
