import type { StepDone } from '@lucky-thread/contract';
import type { JobStep } from '@lucky-thread/core/build';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { usePalette } from '../../ui/ThemeProvider';
import { SPACE, TARGET } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Props of {@link StepList}. */
export interface StepListProps {
  /** The steps in their order. */
  readonly steps: readonly JobStep[];
  /** Those that are done. */
  readonly done: readonly StepDone[];
  /** Id of the step that comes next; undefined when none is left. */
  readonly nowId: string | undefined;
  /** A step that was done is taken back. */
  readonly onBack: (stepId: string) => void;
}

/** All steps in their order: who did what, what is next, and what was done by a plan that has changed since. */
export function StepList({ steps, done, nowId, onBack }: StepListProps) {
  const of = new Map(done.map((one) => [one.stepId, one]));
  const known = new Set(steps.map(({ id }) => id));
  const stale = done.filter(({ stepId }) => !known.has(stepId));
  return (
    <Card testID="steps">
      <Words kind="heading">In this order</Words>
      {stale.map((one) => (
        <Caution key={one.stepId} testID={`stale-${one.stepId}`}>
          {`Done before the plan changed: ${one.stepId.replaceAll('_', ' ')}${by(one)}. See whether it has to be undone.`}
        </Caution>
      ))}
      <View role="list">
        {steps.map((step, index) => (
          <StepRow
            key={step.id}
            step={step}
            number={index + 1}
            mine={of.get(step.id)}
            isNow={step.id === nowId}
            onBack={onBack}
          />
        ))}
      </View>
    </Card>
  );
}

/** One step of the list; drawn anew only when something of it has changed. */
const StepRow = memo(function StepRow(props: {
  readonly step: JobStep;
  readonly number: number;
  /** Who did it and when; undefined as long as nobody has. */
  readonly mine: StepDone | undefined;
  readonly isNow: boolean;
  readonly onBack: (stepId: string) => void;
}) {
  const palette = usePalette();
  const { step, number, mine } = props;
  return (
    <View role="listitem">
      <TouchableRipple
        role="button"
        testID={`step-${step.id}`}
        disabled={mine === undefined}
        onPress={() => props.onBack(step.id)}
        style={[
          styles.step,
          {
            borderColor: palette.line,
            backgroundColor: props.isNow ? palette.sunken : palette.raised,
          },
        ]}
      >
        <View style={styles.inside}>
          <Words kind="heading" style={styles.number}>
            {mine === undefined ? String(number) : mine.reason === null ? '✓' : '–'}
          </Words>
          <View style={styles.grow}>
            <Words soft={mine !== undefined}>{step.what}</Words>
            {mine !== undefined && (
              <Words kind="small" soft>
                {mine.reason === null
                  ? `done${by(mine)}`
                  : `passed over: ${mine.reason}${by(mine)}`}
              </Words>
            )}
          </View>
        </View>
      </TouchableRipple>
    </View>
  );
});

function by({ by: who, at }: StepDone): string {
  const time = new Date(at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
  return who === '' ? `, ${time}` : `, ${who}, ${time}`;
}

const styles = StyleSheet.create({
  step: { borderBottomWidth: 1, minHeight: TARGET, paddingVertical: SPACE.s },
  inside: { flexDirection: 'row', alignItems: 'flex-start', gap: SPACE.s },
  number: { width: 30, textAlign: 'right' },
  grow: { flex: 1 },
});
