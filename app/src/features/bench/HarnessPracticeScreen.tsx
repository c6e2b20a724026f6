import { generateHarness } from '@lucky-thread/core/bench';
import { describeValue } from '@lucky-thread/core/identify/reading';
import type { HarnessSession, WireRole } from '@lucky-thread/core/identify/harness';
import { ROLE_NAMES, WIRE_ROLES } from '@lucky-thread/core/identify/harness/roles';
import type { HarnessTrial } from '@lucky-thread/core/trial';
import { harnessTrial } from '@lucky-thread/core/trial';
import { nextState } from '@lucky-thread/core/vehicle';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Choice } from '../../ui/Choice';
import { SPACE } from '../../ui/tokens';
import { WithDock } from '../../ui/WithDock';
import { Words } from '../../ui/Words';
import { StateSwitches } from '../../instruments/StateSwitches';
import { WireList } from '../../panel/WireList';
import { useHarnessAdvice } from '../../work/useHarness';
import type { NamedWires } from './harnessPractice';
import { harnessReport } from './harnessPractice';
import type { Level } from './levels';
import { PracticeHead } from './PracticeHead';
import { PracticeReport } from './PracticeReport';

/** Practice on a bunch of cut wires: meter, ohmmeter and 9 V, and a name for every wire. */
export function HarnessPracticeScreen(props: {
  readonly level: Extract<Level, { kind: 'harness' }>;
  readonly seed: number;
  readonly onLeave: () => void;
  readonly onAnother: () => void;
}) {
  const { level, seed } = props;
  const [made] = useState(() => {
    const harness = generateHarness(seed, level.quality);
    return { harness, trial: harnessTrial(harness, seed) };
  });
  const { harness, trial } = made;
  const [seen, setSeen] = useState(() => ({ readings: trial.readings, state: trial.state() }));
  const [named, setNamed] = useState<NamedWires>({});
  const [selectedId, setSelectedId] = useState<string>();
  const [helped, setHelped] = useState(false);
  const [finished, setFinished] = useState(false);
  const session = useMemo((): HarnessSession => ({ wires: trial.wires, ...seen }), [trial, seen]);
  const { advice } = useHarnessAdvice(session);
  const act = (action: () => void): void => {
    action();
    // The trial keeps its own list; the screen shows a copy of it.
    setSeen({ readings: [...trial.readings], state: trial.state() });
  };
  if (finished)
    return (
      <PracticeReport
        lines={harnessReport(harness, named, {
          effort: trial.effort(),
          readings: trial.readings,
        })}
        seconds={trial.effort().seconds}
        probes={trial.effort().probes}
        car={{ kind: 'harness', seed, quality: level.quality }}
        onBack={() => setFinished(false)}
        onAnother={props.onAnother}
        onLeave={props.onLeave}
      />
    );
  const wanted = helped && advice?.next.kind === 'probe' ? advice.next.wireIds : [];
  const dock = (
    <>
      {helped && advice !== undefined && (
        <Words kind="instruction" testID="next">
          {advice.next.instruction}
        </Words>
      )}
      {selectedId === undefined ? (
        <Words soft>Touch a wire in the list.</Words>
      ) : (
        <WireBench
          trial={trial}
          wireId={selectedId}
          named={named[selectedId]}
          onAct={act}
          onNamed={(role) => setNamed({ ...named, [selectedId]: role })}
        />
      )}
      <Words kind="small" soft>
        {`${trial.effort().seconds} s of work so far, ${trial.effort().probes} probes.`}
      </Words>
    </>
  );
  return (
    <WithDock testID="practice" dock={dock}>
      <PracticeHead
        title={level.title}
        helped={helped}
        onHelp={() => setHelped(!helped)}
        onFinish={() => setFinished(true)}
      />
      <StateSwitches
        state={trial.state()}
        onChange={(change) => act(() => trial.go(nextState(trial.state(), change)))}
      />
      <WireList
        wires={trial.wires.map((wire) => ({
          ...wire,
          name:
            named[wire.id] === undefined
              ? wire.name
              : `${wire.name} · ${ROLE_NAMES[named[wire.id] ?? 'leftOver'].code}`,
        }))}
        advice={helped ? advice : undefined}
        wantedIds={new Set(wanted)}
        readCount={(id) => trial.readings.filter((one) => one.sourceId === id).length}
        selectedId={selectedId}
        onSelect={setSelectedId}
      />
    </WithDock>
  );
}

/** Instruments at one wire, and what it is taken for. */
function WireBench(props: {
  readonly trial: HarnessTrial;
  readonly wireId: string;
  readonly named: WireRole | undefined;
  readonly onAct: (action: () => void) => void;
  readonly onNamed: (role: WireRole) => void;
}) {
  const { trial, wireId, onAct } = props;
  const [otherId, setOtherId] = useState<string>();
  const last = trial.readings.at(-1);
  const name = trial.wires.find((wire) => wire.id === wireId)?.name ?? wireId;
  return (
    <Card testID="wire-bench">
      <Words kind="heading">{name}</Words>
      <View style={styles.row}>
        <ActionButton
          label="Meter"
          testID="touch-meter"
          style={styles.even}
          onPress={() => onAct(() => trial.probe(wireId))}
        />
        <ActionButton
          label="Ohms to ground"
          testID="touch-ohms"
          style={styles.even}
          onPress={() => onAct(() => trial.probe(wireId, 'ohmmeter'))}
        />
        <ActionButton
          label={`9 V to ${otherId ?? '…'}`}
          testID="touch-pop"
          style={styles.even}
          disabled={otherId === undefined || otherId === wireId}
          onPress={() =>
            onAct(() => {
              if (otherId !== undefined) trial.pop(wireId, otherId);
            })
          }
        />
      </View>
      {last !== undefined && (
        <Words kind="figure" testID="last-reading">
          {`${last.sourceId}: ${describeValue(last.value)}`}
        </Words>
      )}
      <Words kind="label">Minus of the 9 V on</Words>
      <Choice
        label="Second wire"
        options={trial.wires
          .filter((wire) => wire.id !== wireId)
          .map((wire) => ({ value: wire.id, label: wire.id }))}
        value={otherId}
        onChange={setOtherId}
      />
      <Words kind="label">It is</Words>
      <Choice
        label="What this wire is"
        testID="name"
        options={WIRE_ROLES.map((role) => ({ value: role, label: ROLE_NAMES[role].code }))}
        value={props.named}
        onChange={props.onNamed}
      />
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.xs },
  even: { flex: 1, paddingHorizontal: 2 },
});
