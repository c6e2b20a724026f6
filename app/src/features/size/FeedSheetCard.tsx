import type { FeedPlanInput } from '@lucky-thread/contract';
import { feedSheet } from '@lucky-thread/core/choose';
import type { FeedSheet } from '@lucky-thread/core/choose';
import type { FeedSize } from '@lucky-thread/core/size';
import type { SlotSource } from '@lucky-thread/core/vehicle';
import { memo, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useAppSelector } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Choice } from '../../ui/Choice';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { OrientationDrawing } from '../../panel/OrientationDrawing';
import type { ReadingRow } from '../../work/jobReadings';
import type { TappedFeed, JobContext } from '@lucky-thread/work';
import {
  feedLoadOf,
  isAtSlot,
  sheetGivenOf,
  orientationAt,
  tapOfOthers,
  titleOf,
} from '@lucky-thread/work';
import type { PlanField } from './planProblems';
import type { LeadLengthProps } from './LeadLength';
import { LeadLength } from './LeadLength';
import { SheetLines } from './SheetLines';
import { SizeResult, shownConductor } from '../../sizing/SizeResult';
import { SizingOptions } from './SizingOptions';
import { ToolLinks } from './ToolLinks';
import { coreReadings } from '../../work/jobReadings';

/** Props of {@link FeedSheetCard}. */
export interface FeedSheetCardProps {
  /** The job with its vehicle, device, shop and log. */
  readonly context: JobContext;
  /** What was measured, as the history shows it. */
  readonly rows: readonly ReadingRow[];
  /** The feed with its chosen source. */
  readonly tapped: TappedFeed;
  /** Where the leads run; undefined while that is worked out. */
  readonly route: LeadLengthProps['route'];
  /** The plan of this feed as it stands. */
  readonly plan: FeedPlanInput;
  /** What is wrong with what was typed, by field. */
  readonly problems: Partial<Record<PlanField, string>>;
  /** Undefined until the length is known. */
  readonly size: FeedSize | undefined;
  /** Called with the changed plan. */
  readonly onPlan: (plan: FeedPlanInput) => void;
}

/**
 * One feed on one sheet: source, length, fuse, wire and drop, then joint, ground and which way round, each with its why. Drawn
 * anew only where something of its own changes: a key types into one of a dozen.
 */
export const FeedSheetCard = memo(function FeedSheetCard(props: FeedSheetCardProps) {
  const { context, tapped, plan, problems, size, onPlan } = props;
  const units = useAppSelector((state) => state.prefs.units);
  const [more, setMore] = useState(false);
  const { feed, source } = tapped;
  const load = feedLoadOf(tapped, context.settings, plan);
  const sheet = useSheet(props);
  const change = (changed: Partial<FeedPlanInput>): void => onPlan({ ...plan, ...changed });
  return (
    <Card testID={`size-${feed.id}`}>
      <View>
        <Words kind="title">{feed.name}</Words>
        <Words soft>
          {`${titleOf(source)}${source.kind === 'slot' ? ` · ${source.ratingA ?? 0} A slot` : ''} · ${feed.currentA} A at 12 V`}
        </Words>
      </View>
      <LeadLength
        context={context}
        tapped={tapped}
        plan={plan}
        problem={problems.oneWayM}
        route={props.route}
        onLength={(oneWayM) => change({ oneWayM })}
      />
      <Choice
        label="Return"
        even
        testID={`return-${feed.id}`}
        options={[
          { value: 'body', label: 'Back through body' },
          { value: 'lead', label: 'Back by own lead' },
        ]}
        value={plan.returnPath ?? 'body'}
        onChange={(returnPath) => change({ returnPath })}
      />
      {size !== undefined && load !== undefined && (
        <SizeResult size={size} load={load} id={feed.id} units={units} />
      )}
      <ActionButton
        kind="quiet"
        label={more ? 'Fewer conditions' : 'Heat, bundle, spare, basis…'}
        testID={`more-${feed.id}`}
        onPress={() => setMore(!more)}
      />
      {more && (
        <SizingOptions
          plan={plan}
          shop={context.settings.sizing}
          problems={problems}
          onPlan={onPlan}
        />
      )}
      {sheet?.wayRound !== undefined && isAtSlot(tapped) && (
        <WayRound {...props} tapped={tapped} wayRound={sheet.wayRound} />
      )}
      {sheet !== undefined && (
        <Choice
          label="Ground within reach"
          even
          testID={`ground-${feed.id}`}
          options={[
            { value: 'stud', label: 'Factory stud' },
            { value: 'harness', label: 'Ground wire' },
            { value: 'body', label: 'Only body' },
          ]}
          value={plan.ground ?? 'body'}
          onChange={(ground) => change({ ground })}
        />
      )}
      {sheet !== undefined && <SheetLines sheet={sheet} id={feed.id} units={units} />}
      <ToolLinks feed={feed} load={load} size={size} />
    </Card>
  );
});

function useSheet(props: FeedSheetCardProps): FeedSheet | undefined {
  const { context, tapped, plan, size } = props;
  const units = useAppSelector((state) => state.prefs.units);
  const { feed, source } = tapped;
  const { job, settings, model } = context;
  return useMemo(() => {
    if (size === undefined) return undefined;
    const leadMm2 = shownConductor(size, units)?.size.areaMm2;
    const given = sheetGivenOf({ job, settings, model }, { feed, source, plan }, { size, leadMm2 });
    return given === undefined ? undefined : feedSheet(given);
  }, [size, feed, source, plan, job, settings, model, units]);
}

/** The tap as it lies in the car, and what each way round does to both fuses. */
function WayRound(
  props: Pick<FeedSheetCardProps, 'context' | 'rows'> & {
    readonly tapped: TappedFeed<SlotSource>;
    readonly wayRound: NonNullable<FeedSheet['wayRound']>;
  },
) {
  const { context, rows, tapped } = props;
  const { right, wrong } = props.wayRound;
  const { source: slot } = tapped;
  const orientation = orientationAt(slot.id, coreReadings(rows));
  const logged = tapOfOthers(context, slot.id);
  const supply =
    orientation.kind === 'found' ? orientation.supply : (logged?.supplyContact ?? undefined);
  return (
    <View style={styles.stack}>
      <Words kind="heading">Which way round</Words>
      <OrientationDrawing slot={slot} supply={supply} />
      {supply === undefined ? (
        <Caution>The supply side has not been read: go back to Choose.</Caution>
      ) : (
        <Words kind="small">
          {`Right: original fuse ${amps(right.originalFuseA)}, added ${amps(right.addedFuseA)}. Wrong: the original fuse carries ${amps(wrong.originalFuseA)}, and the added lead dies with it.`}
        </Words>
      )}
    </View>
  );
}

function amps(value: number): string {
  return `${Number(value.toFixed(1))} A`;
}

const styles = StyleSheet.create({ stack: { gap: SPACE.xs } });
