import type { HarnessFamily, HarnessLimit } from '@lucky-thread/core/identify/harness';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Choice } from '../../ui/Choice';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { HarnessBench } from '../../work/useHarness';

const FAMILIES: readonly { readonly value: HarnessFamily; readonly label: string }[] = [
  { value: 'factory', label: 'The car’s own' },
  { value: 'aftermarket', label: 'Radio’s leads' },
];

const LIMITS: readonly { readonly label: string; readonly limits: readonly HarnessLimit[] }[] = [
  { label: 'No meter: a test lamp', limits: ['meter'] },
  { label: 'No 9 V source', limits: ['pop'] },
  { label: 'No ohmmeter', limits: ['ohmmeter'] },
  { label: 'No key', limits: ['acc', 'run'] },
  { label: 'No lamps', limits: ['lamps'] },
];

/** Props of {@link HarnessLimits}. */
export interface HarnessLimitsProps {
  /** How the bunch is worked on now. */
  readonly bench: HarnessBench;
  /** Called with the changed one. */
  readonly onBench: (bench: HarnessBench) => void;
}

/** Whose colours the bunch has, and what the plan must do without. */
export function HarnessLimits({ bench, onBench }: HarnessLimitsProps) {
  return (
    <View style={styles.stack} testID="harness-limits">
      <Words kind="heading">Whose colours</Words>
      <Choice
        label="Whose colours"
        even
        testID="family"
        options={FAMILIES}
        value={bench.family}
        onChange={(family) => onBench({ ...bench, family })}
      />
      <Words kind="heading">Not at hand</Words>
      <View style={styles.wrap}>
        {LIMITS.map(({ label, limits }) => {
          const left = limits.every((limit) => bench.cannot.includes(limit));
          return (
            <ActionButton
              key={label}
              label={`${left ? '☒' : '☐'} ${label}`}
              onPress={() =>
                onBench({
                  ...bench,
                  cannot: [
                    ...bench.cannot.filter((one) => !limits.includes(one)),
                    ...(left ? [] : limits),
                  ],
                })
              }
            />
          );
        })}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  wrap: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs },
});
