import { tapSteps } from '@lucky-thread/core/build';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { METHOD_FACTS, holderFor, restoreSheet } from '@lucky-thread/core/choose';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { Screen } from '../../ui/Screen';
import { SPACE } from '../../ui/tokens';
import { usePalette } from '../../ui/ThemeProvider';
import { Words } from '../../ui/Words';
import { useJobReadings, coreReadings } from '../../work/jobReadings';
import { MatchingCard } from './MatchingCard';
import { MissingTaps } from '../../shell/MissingTaps';
import {
  isAtSlot,
  jointOf,
  isWholeJob,
  tappedFeeds,
  plannedTapsOf,
  titleOf,
} from '@lucky-thread/work';
import type { JobContext } from '@lucky-thread/work';
import { useJobChange } from '../../work/useJobChange';

/** Build: the steps in order, each with the caution that belongs to it. */
export function BuildScreen({ context }: { readonly context: JobContext }) {
  const { rows } = useJobReadings(context.job.id);
  const change = useJobChange(context.job);
  const palette = usePalette();
  const readings = useMemo(() => coreReadings(rows), [rows]);
  const taps = plannedTapsOf(context, readings);
  if (!isWholeJob(context)) return <MissingTaps />;
  return (
    <Screen
      testID="build"
      bottom={
        <ActionButton
          kind="next"
          label="Fitted: prove the taps"
          testID="go-prove"
          onPress={() => change.goTo('prove')}
        />
      }
    >
      {change.problem !== undefined && <Caution testID="job-problem">{change.problem}</Caution>}
      <Words kind="small" soft>
        The vehicle maker’s service information comes first. Where it differs, follow it.
      </Words>
      <MatchingCard context={context} readings={readings} />
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
    tappedFeeds(context).map((tapped) => {
      if (!isAtSlot(tapped)) {
        const joint = jointOf(context, tapped);
        return {
          where: titleOf(tapped.source),
          originalA: undefined,
          substituted: false,
          method: joint?.name ?? 'splice',
          trace: joint === undefined ? ('cut' as const) : METHOD_FACTS[joint.method].trace,
        };
      }
      const { source: slot } = tapped;
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
