import { toCoreReading } from '@lucky-thread/contract';
import type { FindAdvice, NextAction, Verdict } from '@lucky-thread/core/identify';
import type { SlotSource, StateChange } from '@lucky-thread/core/vehicle';
import { isConductor, isLeadPoint, nameOf } from '@lucky-thread/core/vehicle';
import { memo, useCallback, useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { carChanged, slotTouched } from '../../store/probeSlice';
import { useAppDispatch } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import { Choice } from '../../ui/Choice';
import { useWide } from '../../ui/Screen';
import { usePalette } from '../../ui/ThemeProvider';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { useSteady, useSteadyList } from '../../workers/useSteady';
import type { JobContext } from '@lucky-thread/work';
import { closedPlaces, jobSourcesOf, loomsOf, panelsOf, wiresAt } from '@lucky-thread/work';
import { useJobChange } from '../../work/useJobChange';
import { ColourDiffers } from './ColourDiffers';
import { FindTools } from './FindTools';
import { FusePanel } from '../../panel/FusePanel';
import { HandbookEntry } from './HandbookEntry';
import { LegendsToFind } from './LegendsToFind';
import { logSentence } from './logSentence';
import { ProbeDock, useSource } from './ProbeDock';
import { ReadingHistory } from '../../instruments/ReadingHistory';
import { StateSwitches } from '../../instruments/StateSwitches';
import { SlotInHand } from './SlotInHand';
import { useDefer } from './useDefer';
import type { Finding } from '../../work/useFind';
import { useFind } from '../../work/useFind';
import { VerdictCard } from '../../panel/VerdictCard';
import { WireStrip } from '../../panel/WireStrip';
import { sourceTitle, warningOf } from '../../panel/sourceTitle';

/** Props of {@link FindScreen}. */
export interface FindScreenProps {
  /** The job with its vehicle, device, shop and log. */
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
  // With nothing to read yet the slot in hand comes first; wires that lie open are something.
  const hasNothing = panelsOf(context.model).length === 0 && context.job.harness.length === 0;
  const [inHand, setInHand] = useState(hasNothing);
  const takeInHand = useCallback(() => setInHand(true), []);
  const { probing, advice, rows } = finding;
  const parts = {
    tools: <FindTools context={context} probing={probing} onLimit={defer} />,
    map: (
      <PanelMap
        context={context}
        probing={probing}
        advice={advice}
        onInHand={inHand ? undefined : takeInHand}
      />
    ),
    dock: inHand ? (
      <SlotInHand context={context} onDone={() => setInHand(false)} />
    ) : (
      <ProbeDock
        context={context}
        finding={finding}
        onFilled={onFilled}
        onInHand={context.model.simulated ? undefined : takeInHand}
      />
    ),
    verdict: <SelectedVerdict context={context} finding={finding} />,
    history: <History context={context} rows={rows} />,
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

/** The sources that the plan wants touched now. */
function wantedBy(next: NextAction | undefined): readonly string[] {
  if (next?.kind === 'pair') return [next.plusId, next.minusId];
  return next?.kind === 'visit' ? next.visit.sourceIds : [];
}

/** What a verdict is about. */
function sourceOf(verdict: Verdict): string {
  return verdict.sourceId;
}

/** The panel and the open wires; drawn anew for where the thumb is and what is advised, not for a reading that is being saved. */
const PanelMap = memo(function PanelMap({
  context,
  probing,
  advice,
  onInHand,
}: Pick<PartProps, 'context'> &
  Pick<Finding, 'probing' | 'advice'> & { readonly onInHand: (() => void) | undefined }) {
  const dispatch = useAppDispatch();
  const { job, model, taps } = context;
  const change = useJobChange(job);
  const jobId = job.id;
  const [panelId, setPanelId] = useState<string>();
  const panels = useMemo(() => panelsOf(model), [model]);
  const looms = useMemo(() => loomsOf({ job, model, taps }), [job, model, taps]);
  const panel = panels.find((one) => one.id === panelId) ?? panels[0];
  const verdicts = useSteadyList(advice?.verdicts, sourceOf);
  const next = advice?.next;
  const wanted = useMemo(() => new Set(wantedBy(next)), [next]);
  const loggedIds = useMemo(() => new Set(taps.map((tap) => tap.sourceId)), [taps]);
  const turn = useCallback(
    (changed: StateChange) => void dispatch(carChanged({ jobId, change: changed })),
    [dispatch, jobId],
  );
  const touch = useCallback(
    (sourceId: string) => void dispatch(slotTouched({ jobId, sourceId })),
    [dispatch, jobId],
  );
  return (
    <View style={styles.stack}>
      <StateSwitches state={probing.state} onChange={turn} />
      {panel !== undefined && panels.length > 1 && (
        <Choice
          label="Panel"
          even
          options={panels.map((one) => ({ value: one.id, label: one.name }))}
          value={panel.id}
          onChange={setPanelId}
        />
      )}
      {panel === undefined ? (
        <Words soft>
          Nobody has entered a fuse panel of this model. Enter the slot that you have in hand, and
          read it.
        </Words>
      ) : (
        <FusePanel
          panel={panel}
          verdicts={verdicts}
          selectedId={probing.sourceId}
          wantedIds={wanted}
          loggedIds={loggedIds}
          onTouch={touch}
        />
      )}
      {!model.simulated && onInHand !== undefined && (
        <ActionButton label="A slot that is not here…" testID="slot-not-here" onPress={onInHand} />
      )}
      {isGrowing(context, advice) && <LegendsToFind context={context} />}
      {closedPlaces(context).map((place) => (
        <ActionButton
          key={place.id}
          label={`${place.name}, ${place.sources.length} wires: lay it open`}
          testID={`lay-open-${place.id}`}
          onPress={() => change.layOpen(wiresAt(place))}
        />
      ))}
      {looms.map((loom) => (
        <WireStrip
          key={loom.id}
          name={loom.name}
          wires={loom.wires}
          verdicts={verdicts}
          selectedId={probing.sourceId}
          wantedIds={wanted}
          onTouch={touch}
        />
      ))}
    </View>
  );
});

/** Whether more of the lid would help: slots came one by one, or nothing that is entered can serve. */
function isGrowing({ model, job }: JobContext, advice: FindAdvice | undefined): boolean {
  if (model.simulated) return false;
  return panelsOf(model).length === 0 || job.seen.length > 0 || advice?.next.kind === 'exhausted';
}

function SelectedVerdict({ context, finding }: PartProps) {
  const source = useSource(context, finding.probing.sourceId);
  const verdict = finding.advice?.verdicts.find((one) => one.sourceId === source?.id);
  const { rows } = finding;
  const own = useSteady(
    useMemo(
      () => rows.filter((row) => row.sourceId === source?.id).map(toCoreReading),
      [rows, source?.id],
    ),
  );
  if (source === undefined || verdict === undefined) return null;
  const next = finding.advice?.next;
  const isAsked = next?.kind === 'handbook' && next.sourceId === source.id;
  return (
    <View style={styles.tight}>
      <VerdictCard
        title={sourceTitle(source)}
        warning={warningOf(source)}
        verdict={verdict}
        readings={own}
        logged={logSentence(context, source.id)}
      />
      {!isAsked && source.kind === 'slot' && (
        <HandbookEntry key={`handbook ${source.id}`} model={context.model} slot={source} />
      )}
      {isConductor(source) && (
        <ColourDiffers key={`colour ${source.id}`} context={context} wireId={source.id} />
      )}
      {source.kind === 'slot' && (
        <ReadsOtherwise key={`otherwise ${source.id}`} context={context} slot={source} />
      )}
    </View>
  );
}

/** What is printed or fitted here differs from what was entered: put right on the spot. */
function ReadsOtherwise({ context, slot }: Pick<PartProps, 'context'> & { slot: SlotSource }) {
  const [open, setOpen] = useState(false);
  if (open) return <SlotInHand context={context} slot={slot} onDone={() => setOpen(false)} />;
  return (
    <ActionButton
      kind="quiet"
      label="Legend or fuse differs here…"
      testID="reads-otherwise"
      onPress={() => setOpen(true)}
    />
  );
}

const History = memo(function History({
  context,
  rows,
}: Pick<PartProps, 'context'> & Pick<Finding, 'rows'>) {
  const { job, model, taps } = context;
  const names = useMemo(
    () =>
      new Map(jobSourcesOf({ job, model, taps }).map(({ source }) => [source.id, nameOf(source)])),
    [job, model, taps],
  );
  return (
    <View style={styles.stack}>
      <Words kind="heading">Readings</Words>
      <ReadingHistory
        jobId={context.job.id}
        rows={rows}
        nameOf={(sourceId) =>
          names.get(sourceId) ?? (isLeadPoint(sourceId) ? 'Added lead' : sourceId)
        }
      />
    </View>
  );
});

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
});
