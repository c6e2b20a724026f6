import { handOverTests } from '@lucky-thread/core/prove';
import { StyleSheet } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { usePalette } from '../../ui/ThemeProvider';
import { RADIUS, SPACE, TARGET } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { ClosingProps } from './closing';

/** What is tried before the car is handed over: that a remote start can be stopped, that a stereo plays and remembers. */
export function HandOver({ job, onNote }: ClosingProps) {
  const palette = usePalette();
  const roles = job.device.feeds.map(({ role }) => role);
  const tests = handOverTests({ family: job.device.family, roles });
  if (tests.length === 0) return null;
  return (
    <Card testID="hand-over">
      <Words kind="heading">Before it is handed over</Words>
      {roles.includes('starter') && (
        <Caution>
          One at the wheel with a foot ready, one outside in sight, nobody in front or behind; in
          the open, wheels chocked.
        </Caution>
      )}
      {tests.map(({ id, what, must }) => {
        const item = `hand-over:${id}`;
        const found = job.closing.find((one) => one.item === item);
        const done = found !== undefined;
        return (
          <TouchableRipple
            key={id}
            role="checkbox"
            aria-checked={done}
            testID={`hand-over-${id}`}
            style={[
              styles.row,
              {
                borderColor: done ? palette.ink : palette.line,
                backgroundColor: done ? palette.sunken : palette.canvas,
              },
            ]}
            onPress={() => onNote({ item, done: !done, value: null })}
          >
            <Words>{`${done ? '☒' : '☐'} ${what} ${must}${by(found?.by)}`}</Words>
          </TouchableRipple>
        );
      })}
    </Card>
  );
}

function by(name: string | undefined): string {
  return name === undefined || name === '' ? '' : ` (${name})`;
}

const styles = StyleSheet.create({
  row: { borderWidth: 1.5, borderRadius: RADIUS, minHeight: TARGET, padding: SPACE.s },
});
