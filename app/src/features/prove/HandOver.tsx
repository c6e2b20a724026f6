import type { StandingTest } from '@lucky-thread/work';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { Card } from '../../ui/Card';
import { usePalette } from '../../ui/ThemeProvider';
import { RADIUS, SPACE, TARGET } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Props of {@link HandOver}. */
export interface HandOverProps {
  /** The tests in their order, with how they stand. */
  readonly tests: readonly StandingTest[];
  /** The one in hand. */
  readonly inHand: string | undefined;
  /** Called with the one that is taken. */
  readonly onTake: (id: string) => void;
}

const MARKS = { open: '○', passed: '✓', lacking: '–', failed: '✕' } as const;

/** What is tried before the car is handed over: that a remote start can be stopped, that a stereo plays and remembers. */
export const HandOver = memo(function HandOver({ tests, inHand, onTake }: HandOverProps) {
  const palette = usePalette();
  if (tests.length === 0) return null;
  return (
    <Card testID="hand-over">
      <Words kind="heading">Before it is handed over</Words>
      {tests.map(({ test, standing, by }) => (
        <TouchableRipple
          key={test.id}
          role="button"
          testID={`hand-over-${test.id}`}
          onPress={() => onTake(test.id)}
          style={[
            styles.row,
            {
              borderColor: test.id === inHand ? palette.ink : palette.line,
              backgroundColor: test.id === inHand ? palette.sunken : palette.canvas,
            },
          ]}
        >
          <View style={styles.inside}>
            <Words kind="heading" style={styles.mark}>
              {MARKS[standing.is]}
            </Words>
            <View style={styles.text}>
              <Words kind="small">{test.what}</Words>
              {standing.is !== 'open' && (
                <Words kind="label">{[standing.shows, by].filter(Boolean).join(', ')}</Words>
              )}
            </View>
          </View>
        </TouchableRipple>
      ))}
    </Card>
  );
});

const styles = StyleSheet.create({
  row: { borderWidth: 1.5, borderRadius: RADIUS, minHeight: TARGET, padding: SPACE.s },
  inside: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  mark: { width: 26, textAlign: 'center' },
  text: { flex: 1 },
});
