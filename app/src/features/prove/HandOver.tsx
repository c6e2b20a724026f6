import type { JobContext } from '@lucky-thread/work';
import { handOverTests } from '@lucky-thread/core/prove';
import { StyleSheet } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { useKeptDraft } from '../../store/keptDraft';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { usePalette } from '../../ui/ThemeProvider';
import { RADIUS, SPACE, TARGET } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** What must prevent a start or stop it, tried before the car is handed over; ticks are this phone's own reminder. */
export function HandOver({ job }: Pick<JobContext, 'job'>) {
  const palette = usePalette();
  // Only a device that cranks the car by itself is tried like that.
  const starts = job.device.feeds.some(({ role }) => role === 'starter');
  const { draft, setDraft } = useKeptDraft<{ readonly done: readonly string[] }>(
    `hand-over ${job.id}`,
    { done: [] },
  );
  const tests = starts ? handOverTests(job.device.family) : [];
  if (tests.length === 0) return null;
  return (
    <Card testID="hand-over">
      <Words kind="heading">Before it is handed over</Words>
      <Caution>
        One at the wheel with a foot ready, one outside in sight, nobody in front or behind; in the
        open, wheels chocked.
      </Caution>
      {tests.map(({ id, what, must }) => {
        const done = draft.done.includes(id);
        return (
          <TouchableRipple
            key={id}
            role="checkbox"
            aria-checked={done}
            testID={`hand-over-${id}`}
            style={[styles.row, { borderColor: palette.line }]}
            onPress={() =>
              setDraft({
                done: done ? draft.done.filter((one) => one !== id) : [...draft.done, id],
              })
            }
          >
            <Words>{`${done ? '☒' : '☐'} ${what} ${must}`}</Words>
          </TouchableRipple>
        );
      })}
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { borderWidth: 1, borderRadius: RADIUS, minHeight: TARGET, padding: SPACE.s },
});
