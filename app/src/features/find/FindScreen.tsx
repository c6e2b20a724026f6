import { toCoreReading } from '@lucky-thread/contract';
import { isLeadPoint, nameOf } from '@lucky-thread/core/vehicle';
import type { JobContext } from '@lucky-thread/work';
import { jobSourcesOf, panelsOf } from '@lucky-thread/work';
import { memo, useCallback, useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { ReadingHistory } from '../../instruments/ReadingHistory';
import { useWide } from '../../ui/Screen';
import { usePalette } from '../../ui/ThemeProvider';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { Finding } from '../../work/useFind';
import { useFind } from '../../work/useFind';
import { useSteady } from '../../workers/useSteady';
import type { FindToolsProps } from './FindTools';
import { FindTools } from './FindTools';
import { PanelMap } from './PanelMap';
import { ProbeDock } from './ProbeDock';
import { SelectedVerdict } from './SelectedVerdict';
import { SlotInHand } from './SlotInHand';
import { useDefer } from './useDefer';

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
  const parts = {
    ...useSteadyParts({ context, finding, defer, onInHand: inHand ? undefined : takeInHand }),
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

interface ColumnProps {
  readonly wide?: boolean;
  readonly children: ReactNode;
}

/** One of the columns of a wide screen, scrolling by itself; drawn anew only where one of its parts is. */
const Column = memo(
  function Column(props: ColumnProps) {
    return (
      <View style={props.wide === true ? styles.mapColumn : styles.column}>
        <ScrollView tabIndex={0} style={styles.fill} contentContainerStyle={styles.content}>
          {props.children}
        </ScrollView>
      </View>
    );
  },
  (before, after) => before.wide === after.wide && areSame(before.children, after.children),
);

function areSame(before: ReactNode, after: ReactNode): boolean {
  if (!Array.isArray(before) || !Array.isArray(after)) return before === after;
  return before.length === after.length && before.every((part, at) => part === after[at]);
}

/** The parts of the screen that a reading on its way changes nothing of: the same elements as long as what they show is the same. */
function useSteadyParts(of: {
  readonly context: JobContext;
  readonly finding: Finding;
  readonly defer: FindToolsProps['onLimit'];
  readonly onInHand: (() => void) | undefined;
}) {
  const { context, finding, defer, onInHand } = of;
  const { probing, advice, rows } = finding;
  const { sourceId, until, cannot, lamp, handbook, noPop, alone } = probing;
  const limits = useMemo(
    () => ({ until, cannot, lamp, handbook, noPop, alone }),
    [until, cannot, lamp, handbook, noPop, alone],
  );
  const own = useSteady(
    useMemo(
      () => rows.filter((row) => row.sourceId === sourceId).map(toCoreReading),
      [rows, sourceId],
    ),
  );
  return {
    tools: useMemo(
      () => <FindTools context={context} limits={limits} onLimit={defer} />,
      [context, limits, defer],
    ),
    map: useMemo(
      () => <PanelMap {...{ context, probing, advice, onInHand }} />,
      [context, probing, advice, onInHand],
    ),
    verdict: useMemo(
      () => <SelectedVerdict {...{ context, sourceId, advice, own }} />,
      [context, sourceId, advice, own],
    ),
    history: useMemo(() => <History {...{ context, rows }} />, [context, rows]),
  };
}

/** Every reading of the job, newest first. */
const History = memo(function History(props: {
  readonly context: JobContext;
  readonly rows: Finding['rows'];
}) {
  const { context, rows } = props;
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
  dock: { flexGrow: 0, borderTopWidth: 1.5, maxHeight: '78%' },
  docked: { padding: SPACE.m },
});
