import { tapSteps } from '@lucky-thread/core/build';
import { StyleSheet, View } from 'react-native';
import { holderFor, orientationFrom, restoreSheet } from '@lucky-thread/core/choose';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { Screen } from '../../ui/Screen';
import { SPACE } from '../../ui/tokens';
import { usePalette } from '../../ui/ThemeProvider';
import { Words } from '../../ui/Words';
import { contactReadings } from '../choose/OrientationCard';
import type { ReadingRow } from '../find/jobReadings';
import { useJobReadings } from '../find/jobReadings';
import { MissingTaps } from '../job/MissingTaps';
import type { TappedFeed } from '@lucky-thread/work';
import { slotFeeds, tappedFeeds } from '@lucky-thread/work';
import type { JobContext } from '../job/useJob';
import { useJobChange } from '../job/useJobChange';
import { feedSizeOf } from '@lucky-thread/work';

/** The landmark of a tap's supply side: read in this job, else from the model's log. */
export function supplyLandmark(
  context: JobContext,
  rows: readonly ReadingRow[],
  tapped: TappedFeed,
): string | undefined {
  const orientation = orientationFrom(contactReadings(rows, tapped.slot.id));
  if (orientation.kind === 'found')
    return tapped.slot.contacts.find((one) => one.id === orientation.supply)?.landmark;
  return context.taps.find((tap) => tap.slotId === tapped.slot.id && tap.jobId !== context.job.id)
    ?.supplyLandmark;
}

/** Build: the steps in order, each with the caution that belongs to it. */
export function BuildScreen({ context }: { readonly context: JobContext }) {
  const { rows } = useJobReadings(context.job.id);
  const change = useJobChange(context.job);
  const palette = usePalette();
  const tapped = tappedFeeds(context);
  const taps = tapped.flatMap((one) => {
    const size = feedSizeOf(one, context.settings);
    if (size?.ok !== true) return [];
    return {
      feedName: one.feed.name,
      position: one.slot.position,
      family: one.slot.family,
      originalA: one.slot.ratingA ?? 0,
      fuseA: size.fuseA,
      awg: size.awg,
      supplyLandmark: supplyLandmark(context, rows, one) ?? 'supply side, still to be read',
      oneWayM: Number((one.plan.oneWayM ?? 0).toFixed(2)),
    };
  });
  if (taps.length < slotFeeds(context).length) return <MissingTaps />;
  return (
    <Screen
      testID="build"
      bottom={
        <ActionButton
          kind="next"
          label="Fitted: prove the taps"
          testID="go-prove"
          disabled={change.busy}
          onPress={() => void change.goTo('prove')}
        />
      }
    >
      {change.problem !== undefined && <Caution testID="job-problem">{change.problem}</Caution>}
      <Words kind="small" soft>
        The vehicle maker’s service information comes first. Where it differs, follow it.
      </Words>
      <View role="list">
        {tapSteps(taps, context.settings.schools.battery).map((step, index) => (
          <View key={step.id} role="listitem" style={[styles.step, { borderColor: palette.line }]}>
            <Words kind="figure" style={styles.number}>
              {index + 1}
            </Words>
            <View style={styles.text}>
              <Words>{step.text}</Words>
              {step.caution !== undefined && <Caution>{step.caution}</Caution>}
            </View>
          </View>
        ))}
      </View>
      {context.job.vehicle.noTrace === true && <RestoreSheet context={context} />}
    </Screen>
  );
}

/** How the car is brought back as it was, for the lease's end. */
function RestoreSheet({ context }: { readonly context: JobContext }) {
  const steps = restoreSheet(
    tappedFeeds(context).map(({ slot }) => {
      const holder = holderFor({ slot });
      return {
        where: slot.position,
        originalA: slot.ratingA,
        substituted: holder.fits && holder.substitute !== undefined,
        method: 'fuse tap',
        trace: 'none' as const,
      };
    }),
  );
  return (
    <View testID="restore" style={styles.text}>
      <Words kind="title">To give it back</Words>
      {steps.map((step, index) => (
        <View key={step.text}>
          <Words>{`${index + 1}. ${step.text}`}</Words>
          {step.keep !== undefined && (
            <Words kind="small" soft>
              {step.keep}
            </Words>
          )}
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  step: { flexDirection: 'row', gap: SPACE.m, paddingVertical: SPACE.m, borderBottomWidth: 1 },
  number: { width: 44, textAlign: 'right' },
  text: { flex: 1, gap: SPACE.s },
});
