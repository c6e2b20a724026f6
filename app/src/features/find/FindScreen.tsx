import { toCoreReading } from '@lucky-thread/contract';
import type { Verdict } from '@lucky-thread/core/identify';
import type { Slot } from '@lucky-thread/core/vehicle';
import { useCallback, useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { withdraw } from '../../store/outbox';
import { carBroughtTo, carChanged, slotTouched } from '../../store/probeSlice';
import { useAppDispatch } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import { Choice } from '../../ui/Choice';
import { useWide } from '../../ui/Screen';
import { NotWorkedOut } from '../../ui/States';
import { useShortcuts } from '../../ui/useShortcuts';
import { usePalette } from '../../ui/ThemeProvider';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { useSteadyList } from '../../workers/useSteady';
import type { JobContext } from '@lucky-thread/work';
import { panelsOf, slotsOf } from '@lucky-thread/work';
import { FindTools } from './FindTools';
import { FusePanel } from '../../panel/FusePanel';
import { HandbookEntry } from './HandbookEntry';
import { countingRows } from '../../work/jobReadings';
import { logSentence } from './logSentence';
import { NextDock } from './NextDock';
import { ReadingHistory } from '../../instruments/ReadingHistory';
import { ReadingPad } from '../../instruments/ReadingPad';
import { StateSwitches } from '../../instruments/StateSwitches';
import { useDefer } from './useDefer';
import type { Finding } from '../../work/useFind';
import { useFind } from '../../work/useFind';
import { useFollowPlan } from './useFollowPlan';
import { useTakeReading } from '../../work/useTakeReading';
import { VerdictCard } from '../../panel/VerdictCard';

/** Props of {@link FindScreen}. */
export interface FindScreenProps {
  readonly context: JobContext;
  /** Every feed has a source and the user goes on. */
  readonly onFilled: () => void;
}

/** Find: the panel, the car's state, the next test, a reading in two touches, and what it all says. */
export function FindScreen({ context, onFilled }: FindScreenProps) {
  const finding = useFind(context);
  const wide = useWide();
  const palette = usePalette();
  const defer = useDefer(context.job);
  const parts = {
    tools: (
      <FindTools
        context={context}
        finding={finding}
        onLimit={(places, left) => void defer(places, left)}
      />
    ),
    map: <PanelMap context={context} finding={finding} />,
    dock: <ProbeDock context={context} finding={finding} onFilled={onFilled} />,
    verdict: <SelectedVerdict context={context} finding={finding} />,
    history: <History context={context} finding={finding} />,
  };
  if (!wide)
    return (
      <View style={styles.fill}>
        <ScrollView
          tabIndex={0}
          style={styles.fill}
          contentContainerStyle={styles.content}
          role="main"
        >
          {parts.map}
          {parts.verdict}
          {parts.tools}
          {parts.history}
        </ScrollView>
        <ScrollView
          tabIndex={0}
          style={[styles.dock, { borderColor: palette.line, backgroundColor: palette.canvas }]}
          contentContainerStyle={styles.docked}
        >
          {parts.dock}
        </ScrollView>
      </View>
    );
  return (
    <View style={[styles.fill, styles.columns]} role="main">
      <Column wide>
        {parts.map}
        {parts.tools}
      </Column>
      <Column>
        {parts.dock}
        {parts.history}
      </Column>
      <Column>{parts.verdict}</Column>
    </View>
  );
}

/** One of the columns of a wide screen, scrolling by itself. */
function Column(props: { readonly wide?: boolean; readonly children: ReactNode }) {
  return (
    <View style={props.wide === true ? styles.mapColumn : styles.column}>
      <ScrollView tabIndex={0} style={styles.fill} contentContainerStyle={styles.content}>
        {props.children}
      </ScrollView>
    </View>
  );
}

interface PartProps {
  readonly context: JobContext;
  readonly finding: Finding;
}

/** What a verdict is about. */
function sourceOf(verdict: Verdict): string {
  return verdict.sourceId;
}

function PanelMap({ context, finding }: PartProps) {
  const dispatch = useAppDispatch();
  const { job, model, taps } = context;
  const { probing, advice } = finding;
  const jobId = job.id;
  const [panelId, setPanelId] = useState<string>();
  const panels = useMemo(() => panelsOf(model), [model]);
  const panel = panels.find((one) => one.id === panelId) ?? panels[0];
  const verdicts = useSteadyList(advice?.verdicts, sourceOf);
  const wanted = new Set(advice?.next.kind === 'visit' ? advice.next.visit.sourceIds : []);
  const touch = useCallback(
    (sourceId: string) => void dispatch(slotTouched({ jobId, sourceId })),
    [dispatch, jobId],
  );
  if (panel === undefined) return <Words soft>This model has no panel yet.</Words>;
  return (
    <View style={styles.stack}>
      <StateSwitches
        state={probing.state}
        onChange={(change) => dispatch(carChanged({ jobId, change }))}
      />
      {panels.length > 1 && (
        <Choice
          label="Panel"
          even
          options={panels.map((one) => ({ value: one.id, label: one.name }))}
          value={panel.id}
          onChange={setPanelId}
        />
      )}
      <FusePanel
        panel={panel}
        verdicts={verdicts}
        selectedId={probing.sourceId}
        wantedIds={wanted}
        loggedIds={new Set(taps.map((tap) => tap.sourceId))}
        onTouch={touch}
      />
    </View>
  );
}

function ProbeDock({ context, finding, onFilled }: PartProps & { onFilled: () => void }) {
  const dispatch = useAppDispatch();
  const { probing, advice, thinking } = finding;
  const jobId = context.job.id;
  const defer = useDefer(context.job);
  const follow = useFollowPlan({ jobId, advice, thinking, probing });
  const slot = slotsOf(context.model).find((one) => one.id === probing.sourceId);
  return (
    <View style={styles.tight}>
      <NotWorkedOut what="The plan" problem={finding.problem} onRetry={finding.retry} />
      <NextDock
        next={advice?.next}
        thinking={thinking}
        state={probing.state}
        deferred={probing.cannot}
        onFilled={onFilled}
        onArrived={(state, sourceId) => {
          dispatch(carBroughtTo({ jobId, state, ...(sourceId === undefined ? {} : { sourceId }) }));
          // The plan may name another slot first once the car is there.
          follow(sourceId);
        }}
        onDefer={(place, left) => void defer([place], left)}
        lookUp={(sourceId) => <LookUp model={context.model} sourceId={sourceId} />}
      />
      {slot === undefined ? (
        <Words kind="small" soft>
          Touch a slot to log a reading.
        </Words>
      ) : (
        <SlotPad
          key={slot.id}
          slot={slot}
          context={context}
          finding={finding}
          onTaken={() => follow()}
        />
      )}
    </View>
  );
}

/** The field that the plan asks for, under the sentence that asks for it. */
function LookUp({
  model,
  sourceId,
}: {
  readonly model: JobContext['model'];
  readonly sourceId: string;
}) {
  const slot = slotsOf(model).find((one) => one.id === sourceId);
  return slot === undefined ? null : (
    <HandbookEntry key={sourceId} model={model} slot={slot} asked />
  );
}

function SlotPad(props: PartProps & { slot: Slot; onTaken: () => void }) {
  const dispatch = useAppDispatch();
  const { slot, context, finding } = props;
  const jobId = context.job.id;
  const taker = useTakeReading({ jobId, sourceId: slot.id, state: finding.probing.state });
  const last = countingRows(finding.rows).at(-1);
  const undo = (): void => {
    if (last !== undefined) dispatch(withdraw(jobId, last.id));
  };
  const take = (kept: boolean): void => {
    if (kept) props.onTaken();
  };
  useShortcuts({
    l: { what: 'Lamp lit', run: () => void taker.glow('lit').then(take) },
    i: { what: 'Lamp dim', run: () => void taker.glow('dim').then(take) },
    d: { what: 'Lamp dark', run: () => void taker.glow('dark').then(take) },
    m: { what: 'Simulated meter', run: () => void taker.simulated().then(take) },
    u: { what: 'Undo the last reading', run: undo },
  });
  return (
    <View style={styles.pad}>
      <View style={styles.padHead}>
        <Words kind="heading" testID="selected-slot" lines={1} style={styles.fill}>
          {slot.position} {slot.legend ?? '(no legend)'}
        </Words>
        <ActionButton
          kind="quiet"
          label="Undo last"
          testID="undo"
          disabled={last === undefined}
          onPress={undo}
        />
      </View>
      <ReadingPad
        taker={taker}
        simulated={context.model.simulated}
        first={context.settings.schools.tester}
        onTaken={props.onTaken}
      />
    </View>
  );
}

function SelectedVerdict({ context, finding }: PartProps) {
  const slot = slotsOf(context.model).find((one) => one.id === finding.probing.sourceId);
  const verdict = finding.advice?.verdicts.find((one) => one.sourceId === slot?.id);
  if (slot === undefined || verdict === undefined) return null;
  const own = finding.rows.filter((row) => row.sourceId === slot.id).map(toCoreReading);
  const next = finding.advice?.next;
  const isAsked = next?.kind === 'handbook' && next.sourceId === slot.id;
  return (
    <View style={styles.tight}>
      <VerdictCard
        key={slot.id}
        slot={slot}
        verdict={verdict}
        readings={own}
        logged={logSentence(context, slot.id)}
      />
      {!isAsked && <HandbookEntry key={`handbook ${slot.id}`} model={context.model} slot={slot} />}
    </View>
  );
}

function History({ context, finding }: PartProps) {
  const names = useMemo(
    () => new Map(slotsOf(context.model).map((slot) => [slot.id, slot.position])),
    [context.model],
  );
  return (
    <View style={styles.stack}>
      <Words kind="heading">Readings</Words>
      <ReadingHistory
        jobId={context.job.id}
        rows={finding.rows}
        nameOf={(sourceId) => names.get(sourceId) ?? sourceId}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  fill: { flex: 1, minHeight: 0 },
  columns: { flexDirection: 'row' },
  mapColumn: { flex: 1.5, minWidth: 0 },
  column: { flex: 1, minWidth: 0 },
  content: { padding: SPACE.m, gap: SPACE.m },
  stack: { gap: SPACE.m },
  tight: { gap: SPACE.s },
  dock: { flexGrow: 0, borderTopWidth: 1.5, maxHeight: '78%' },
  docked: { padding: SPACE.m },
  pad: { gap: SPACE.xs },
  padHead: { flexDirection: 'row', alignItems: 'center' },
});
