import type { HarnessWireInput } from '@lucky-thread/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { withdraw } from '../../store/outbox';
import { useAppDispatch } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import { Choice } from '../../ui/Choice';
import { useWide } from '../../ui/Screen';
import { NotWorkedOut } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { WithDock } from '../../ui/WithDock';
import { Words } from '../../ui/Words';
import { countingRows } from '../../work/jobReadings';
import { ReadingHistory } from '../../instruments/ReadingHistory';
import { PairPad } from '../../instruments/PairPad';
import { ReadingPad } from '../../instruments/ReadingPad';
import { StateSwitches } from '../../instruments/StateSwitches';
import { useTakeReading } from '../../work/useTakeReading';
import type { JobContext } from '@lucky-thread/work';
import { BUNCH_PLACE, bunchesOf, placeIdOf, wiresAt } from '@lucky-thread/work';
import { JobProblem } from '../../shell/JobProblem';
import { useJobChange } from '../../work/useJobChange';
import { nextState } from '@lucky-thread/core/vehicle';
import { HarnessDock } from './HarnessDock';
import type { HarnessBench, HarnessFinding } from '../../work/useHarness';
import { AT_REST, useHarness } from '../../work/useHarness';
import { HarnessLimits } from './HarnessLimits';
import { Separating } from './Separating';
import { Unproved } from './Unproved';
import { WireEditor } from './WireEditor';
import { WireList } from '../../panel/WireList';

/** The cut wires of a job: as they are seen, what each is, and what to do next. */
export function HarnessScreen({ context }: { readonly context: JobContext }) {
  const change = useJobChange(context.job);
  const [bench, setBench] = useState<HarnessBench>(AT_REST);
  const [selectedId, setSelectedId] = useState<string>();
  const bunches = bunchesOf(context);
  const [chosen, setChosen] = useState<string>();
  const placeId = bunches.find((one) => one.id === chosen)?.id ?? bunches[0]?.id ?? BUNCH_PLACE;
  const finding = useHarness(context, bench, placeId);
  const harness = context.job.harness.filter((wire) => placeIdOf(wire.id) === placeId);
  const others = context.job.harness.filter((wire) => placeIdOf(wire.id) !== placeId);
  const lay = (wires: readonly HarnessWireInput[]): void => change.setWires([...others, ...wires]);
  const wide = useWide();
  const history = (
    <>
      <Words kind="heading">Readings</Words>
      <ReadingHistory
        jobId={context.job.id}
        rows={finding.rows}
        nameOf={(id) => harness.find((wire) => wire.id === id)?.name ?? id}
      />
    </>
  );
  const list = (
    <>
      {bunches.length > 1 && (
        <Choice
          label="Which bunch"
          testID="bunch"
          options={bunches.map(({ id, name }) => ({ value: id, label: name }))}
          value={placeId}
          onChange={(id) => {
            setChosen(id);
            setSelectedId(undefined);
          }}
        />
      )}
      <StateSwitches
        state={bench.state}
        onChange={(one) => setBench({ ...bench, state: nextState(bench.state, one) })}
      />
      <WireList
        wires={finding.session.wires}
        advice={finding.advice}
        wantedIds={wantedOf(finding)}
        readCount={(id) => countingRows(finding.rows).filter((row) => row.sourceId === id).length}
        selectedId={selectedId}
        onSelect={setSelectedId}
      />
      {finding.advice !== undefined && (
        <Separating advice={finding.advice} wires={finding.session.wires} />
      )}
      {finding.advice !== undefined && (
        <Unproved ids={finding.advice.unproved} wires={finding.session.wires} />
      )}
      <HarnessLimits bench={bench} onBench={setBench} />
      {placeId === BUNCH_PLACE ? (
        <WireEditor wires={harness} known={knownAt(context, placeId)} onWires={lay} />
      ) : (
        <LayOpen known={knownAt(context, placeId)} open={harness.length} onWires={lay} />
      )}
      {!wide && history}
    </>
  );
  const dock = harness.length > 0 && (
    <>
      <Dock
        context={context}
        finding={finding}
        bench={bench}
        onBench={setBench}
        selectedId={selectedId}
        onSelect={setSelectedId}
      />
      {wide && history}
    </>
  );
  return (
    <WithDock testID="harness" dock={dock} told={<JobProblem jobId={context.job.id} />}>
      {list}
    </WithDock>
  );
}

/** The wires of a place as the model has them. */
function knownAt({ model }: JobContext, placeId: string): HarnessWireInput[] {
  const place = model.places.find((one) => one.id === placeId);
  return place === undefined ? [] : wiresAt(place);
}

/** A loom or connector of the model is laid open as it was entered; what it holds is put right with the vehicle. */
function LayOpen(props: {
  readonly known: readonly HarnessWireInput[];
  readonly open: number;
  readonly onWires: (wires: readonly HarnessWireInput[]) => void;
}) {
  const { known, open } = props;
  if (open === known.length) return null;
  return (
    <ActionButton
      kind={open === 0 ? 'next' : 'plain'}
      label={`Lay its ${known.length} wires open`}
      testID="lay-open"
      onPress={() => props.onWires(known)}
    />
  );
}

/** The wires that the plan wants touched now. */
function wantedOf(finding: HarnessFinding): ReadonlySet<string> {
  const next = finding.advice?.next;
  if (next?.kind === 'pop') return new Set([next.plusId, next.minusId]);
  if (next?.kind === 'pairOhms') return new Set([next.oneId, next.otherId]);
  return new Set(next?.kind === 'probe' ? next.wireIds : []);
}

interface DockProps {
  readonly context: JobContext;
  readonly finding: HarnessFinding;
  readonly bench: HarnessBench;
  readonly onBench: (bench: HarnessBench) => void;
  readonly selectedId: string | undefined;
  readonly onSelect: (wireId: string | undefined) => void;
}

function Dock(props: DockProps) {
  const dispatch = useAppDispatch();
  const { context, finding, bench } = props;
  const { advice } = finding;
  const jobId = context.job.id;
  const next = advice?.next;
  const last = countingRows(finding.rows).at(-1);
  return (
    <View style={styles.tight}>
      <NotWorkedOut what="The plan" problem={finding.problem} onRetry={finding.retry} />
      <HarnessDock
        advice={advice}
        thinking={finding.thinking}
        state={bench.state}
        clip={bench.clip}
        onArrived={(state, clip) => {
          props.onBench({ ...bench, state, clip });
          props.onSelect(undefined);
        }}
      />
      {next?.kind === 'pop' ? (
        <PairPad
          key={`${next.plusId} ${next.minusId}`}
          {...{ jobId, by: 'pop', plusId: next.plusId, minusId: next.minusId }}
          state={bench.state}
          simulated={context.model.simulated}
        />
      ) : (
        <Touch {...props} />
      )}
      <ActionButton
        kind="quiet"
        label="Undo last"
        testID="undo"
        disabled={last === undefined}
        onPress={() => {
          if (last !== undefined) dispatch(withdraw(jobId, last.id));
        }}
      />
    </View>
  );
}

/** The wire to touch now: the selected one, or the plan's first; one touch on lamp, keypad or meter logs it. */
function Touch({ context, finding, bench, selectedId, onSelect }: DockProps) {
  const next = finding.advice?.next;
  const nameOf = (id: string): string =>
    finding.session.wires.find((one) => one.id === id)?.name ?? id;
  if (next?.kind === 'pairOhms' && selectedId === undefined)
    return (
      <View style={styles.tight}>
        <Words kind="heading" testID="selected-wire">
          {`${nameOf(next.oneId)} to ${nameOf(next.otherId)} · ohms`}
        </Words>
        <PairPad
          key={`${next.oneId} ${next.otherId}`}
          {...{ jobId: context.job.id, by: 'ohms', plusId: next.oneId, minusId: next.otherId }}
          state={bench.state}
          simulated={context.model.simulated}
          onTaken={() => onSelect(undefined)}
        />
      </View>
    );
  const wireId = selectedId ?? (next?.kind === 'probe' ? next.wireIds[0] : undefined);
  const wire = finding.session.wires.find((one) => one.id === wireId);
  if (wire === undefined)
    return (
      <Words kind="small" soft>
        Touch a wire in the list to log a reading.
      </Words>
    );
  const constantId = finding.advice?.wires.find((one) => one.role === 'constant')?.wireId;
  return (
    <WirePad
      key={wire.id}
      context={context}
      wireId={wire.id}
      name={wire.name}
      bench={bench}
      clipId={bench.clip === 'constant' ? constantId : undefined}
      measure={next?.kind === 'probe' && next.instrument === 'ohmmeter' ? 'ohms' : 'volts'}
      onTaken={() => onSelect(undefined)}
    />
  );
}

function WirePad(props: {
  readonly context: JobContext;
  readonly wireId: string;
  readonly name: string;
  readonly bench: HarnessBench;
  readonly clipId: string | undefined;
  readonly measure: 'volts' | 'ohms';
  readonly onTaken: () => void;
}) {
  const taker = useTakeReading({
    jobId: props.context.job.id,
    sourceId: props.wireId,
    state: props.bench.state,
    clipId: props.clipId,
    measure: props.measure,
  });
  return (
    <View style={styles.tight}>
      <Words kind="heading" testID="selected-wire">
        {`${props.name}${props.measure === 'ohms' ? ' · ohms to ground' : ''}`}
      </Words>
      <ReadingPad
        taker={taker}
        simulated={props.context.model.simulated}
        first={props.context.settings.schools.tester}
        onTaken={props.onTaken}
        unit={props.measure === 'ohms' ? 'Ω' : 'V'}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  tight: { gap: SPACE.s },
});
