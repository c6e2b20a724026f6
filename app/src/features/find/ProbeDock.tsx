import { memo, useCallback, useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import type { NextAction } from '@lucky-thread/core/identify';
import { isTrigger } from '@lucky-thread/core/identify';
import type { Source } from '@lucky-thread/core/vehicle';
import { stateId } from '@lucky-thread/core/vehicle';
import type { Probing } from '../../store/probeSlice';
import { clipMoved } from '../../store/probeSlice';
import { useAppDispatch } from '../../store/store';
import { Choice } from '../../ui/Choice';
import { NotWorkedOut } from '../../ui/States';
import { useShortcuts } from '../../ui/useShortcuts';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { JobContext } from '@lucky-thread/work';
import { jobSourcesOf, titleOf } from '@lucky-thread/work';
import { NextOfJob } from './NextOfJob';
import { PairDock } from './PairDock';
import { ReadingPad } from '../../instruments/ReadingPad';
import type { MeterTouch } from '../../meter/meter';
import type { ProbeDockProps } from './probeDockProps';
import type { Finding } from '../../work/useFind';
import { UndoLast, useUndoLast } from './UndoLast';
import { useFollowPlan } from './useFollowPlan';
import { useTakeReading } from '../../work/useTakeReading';

/** A source of the job by its id: a slot of the model, or a wire that the job has laid open. */
export function useSource(context: JobContext, id: string | undefined): Source | undefined {
  const { job, model, taps } = context;
  return useMemo(
    () => jobSourcesOf({ job, model, taps }).find(({ source }) => source.id === id)?.source,
    [job, model, taps, id],
  );
}

/** Where to go next, and the pad for the source in hand. */
export function ProbeDock({ context, finding, onFilled, onInHand }: ProbeDockProps) {
  const { probing, advice, thinking } = finding;
  const jobId = context.job.id;
  const follow = useFollowPlan({ jobId, advice, thinking, probing });
  const source = useSource(context, probing.resumed ? probing.sourceId : undefined);
  const pair = pairInHand(advice?.next, probing);
  const inHand = probing.sourceId;
  const taken = useCallback(() => follow(inHand), [follow, inHand]);
  return (
    <View style={styles.tight}>
      <NotWorkedOut what="The plan" problem={finding.problem} onRetry={finding.retry} />
      <NextOfJob {...{ context, finding, follow, onFilled, onInHand }} />
      {pair !== undefined ? (
        <PairDock
          key={`${pair.plusId} ${pair.minusId}`}
          {...{ context, finding, pair }}
          onTaken={taken}
        />
      ) : source === undefined ? (
        <Words kind="small" soft testID="no-pad">
          {probing.resumed
            ? 'Touch a slot or a wire to log a reading.'
            : 'Where the car stands comes with the job’s readings, which are on their way. Set the key above to go on at once.'}
        </Words>
      ) : (
        <SourcePad
          key={source.id}
          source={source}
          context={context}
          finding={finding}
          onTaken={taken}
        />
      )}
    </View>
  );
}

/** The pair that the plan wants tried, unless a wire beside it was touched or the car is not as it must be. */
function pairInHand(
  next: NextAction | undefined,
  { state, sourceId }: Probing,
): Extract<NextAction, { kind: 'pair' }> | undefined {
  if (next?.kind !== 'pair' || stateId(next.state) !== stateId(state)) return undefined;
  return sourceId === undefined || sourceId === next.plusId ? next : undefined;
}

function SourcePad(
  props: Omit<ProbeDockProps, 'onFilled' | 'onInHand'> & {
    readonly source: Source;
    readonly onTaken: () => void;
  },
) {
  const { source, context, finding } = props;
  const jobId = context.job.id;
  const { state, clip } = finding.probing;
  const measure = asksFor(finding, source.id);
  const byOhms = measure === 'ohms';
  const taker = useTakeReading({
    jobId,
    sourceId: source.id,
    state,
    ...(measure === undefined ? {} : { measure }),
    ...(clip === 'constant' && !byOhms ? { clipId: BATTERY } : {}),
  });
  const undo = useUndoLast(jobId, finding.rows);
  usePadKeys(taker, { onTaken: props.onTaken, undo: () => undo?.() });
  return (
    <View style={styles.pad}>
      {context.job.device.feeds.some(({ role }) => isTrigger(role)) && (
        <ClipNow jobId={jobId} clip={clip} />
      )}
      <View style={styles.padHead}>
        <Words kind="heading" testID="selected-slot" lines={1} style={styles.fill}>
          {titleOf(source)}
        </Words>
        <UndoLast undo={undo} />
      </View>
      <ReadingPad
        taker={taker}
        simulated={context.model.simulated}
        first={FIRST[measure ?? 'volts'] ?? context.settings.schools.tester}
        unit={byOhms ? 'Ω' : 'V'}
        onTaken={props.onTaken}
      />
    </View>
  );
}

/** Keys for what the thumb does on the pad. */
function usePadKeys(
  taker: ReturnType<typeof useTakeReading>,
  then: { readonly onTaken: () => void; readonly undo: () => void },
): void {
  const take = (kept: boolean): void => {
    if (kept) then.onTaken();
  };
  useShortcuts({
    l: { what: 'Lamp lit', run: () => void taker.glow('lit').then(take) },
    i: { what: 'Lamp dim', run: () => void taker.glow('dim').then(take) },
    d: { what: 'Lamp dark', run: () => void taker.glow('dark').then(take) },
    m: { what: 'Simulated meter', run: () => void taker.simulated().then(take) },
    u: { what: 'Undo the last reading', run: then.undo },
  });
}

/** What the clip sits on when it counts from plus: the battery's own post, or a constant that was proved. */
const BATTERY = 'battery+';

/** The tester that comes first where the plan asks for one. */
const FIRST: Partial<Record<NonNullable<MeterTouch['measure']>, 'meter' | 'lamp'>> = {
  ohms: 'meter',
  lamp: 'lamp',
};

/** What else than volts the plan asks for at a source in the state the car is in. */
function asksFor({ advice, probing }: Finding, sourceId: string): 'ohms' | 'lamp' | undefined {
  if (advice?.next.kind !== 'visit') return undefined;
  const { visit } = advice.next;
  if (!visit.sourceIds.includes(sourceId) || stateId(visit.state) !== stateId(probing.state))
    return undefined;
  if (visit.withLamp.includes(sourceId)) return 'lamp';
  return visit.instrument === 'ohmmeter' ? 'ohms' : undefined;
}

/** Where the clip sits, and the way back to bare metal. */
const ClipNow = memo(function ClipNow(props: {
  readonly jobId: string;
  readonly clip: Probing['clip'];
}) {
  const { jobId, clip } = props;
  const dispatch = useAppDispatch();
  return (
    <Choice
      label="Clip on"
      even
      testID="clip"
      options={CLIPS}
      value={clip}
      onChange={(to) => dispatch(clipMoved({ jobId, clip: to }))}
    />
  );
});

const CLIPS: readonly { readonly value: Probing['clip']; readonly label: string }[] = [
  { value: 'ground', label: 'Bare metal' },
  { value: 'constant', label: 'Plus' },
];

const styles = StyleSheet.create({
  fill: { flex: 1, minHeight: 0 },
  tight: { gap: SPACE.s },
  pad: { gap: SPACE.xs },
  padHead: { flexDirection: 'row', alignItems: 'center' },
});
