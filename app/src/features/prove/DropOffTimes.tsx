import { dropOff } from '@lucky-thread/core/prove';
import { closingValue } from '@lucky-thread/work';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useKeptDraft } from '../../store/keptDraft';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { ClosingProps } from './closing';

/** How often the figure is drawn anew, ms. */
const TICK_MS = 1000;
/** Longest time that is noted, s. */
const LONGEST_S = 7200;

/** How long each switched lead stays live after the key: begun as the key goes off, ended as it goes dead, kept on the job. */
export function DropOffTimes({ job, onNote }: ClosingProps) {
  const switched = job.device.feeds.filter(
    ({ role, direction }) => (role === 'switched' || role === 'retained') && direction !== 'out',
  );
  if (switched.length === 0) return null;
  return (
    <Card testID="drop-off">
      <Words kind="heading">How long it stays live after the key</Words>
      <Words kind="small">
        Meter at the device’s switched lead, load on. Begin as the key goes off; it runs on while
        the phone shows something else.
      </Words>
      {switched.map((feed) => (
        <DropOffRow key={feed.id} feed={feed} job={job} onNote={onNote} />
      ))}
    </Card>
  );
}

function DropOffRow({
  feed,
  job,
  onNote,
}: ClosingProps & { readonly feed: ClosingProps['job']['device']['feeds'][number] }) {
  const item = `drop-off:${feed.id}`;
  const noted = closingValue(job, item);
  const { draft, setDraft } = useKeptDraft<{ readonly since: number }>(`${item} ${job.id}`, {
    since: 0,
  });
  const running = draft.since > 0;
  const now = useClock(running);
  const verdict = noted === undefined ? undefined : dropOff(noted, feed.currentA);
  const begin = (): void => setDraft({ since: Date.now() });
  const end = (): void => {
    const seconds = Math.min(LONGEST_S, Math.round((Date.now() - draft.since) / 100) / 10);
    setDraft({ since: 0 });
    onNote({ item, done: true, value: seconds });
  };
  return (
    <View style={styles.stack}>
      <View style={styles.row} aria-live="polite">
        <Words kind="label" style={styles.grow}>
          {running
            ? `${feed.name}: ${Math.max(0, Math.round((now - draft.since) / 1000))} s`
            : feed.name}
        </Words>
        {running && (
          <ActionButton
            kind="quiet"
            label="Forget it"
            testID={`drop-off-forget-${feed.id}`}
            onPress={() => setDraft({ since: 0 })}
          />
        )}
        <ActionButton
          label={running ? 'Dead now' : noted === undefined ? 'Key is off' : 'Once more'}
          testID={`drop-off-${feed.id}`}
          onPress={running ? end : begin}
        />
      </View>
      {verdict?.good === false && <Caution testID={`dropped-${feed.id}`}>{verdict.text}</Caution>}
      {verdict?.good === true && <Words testID={`dropped-${feed.id}`}>{`✓ ${verdict.text}`}</Words>}
    </View>
  );
}

/** The time of day, ms since 1970, kept up while it runs. */
function useClock(running: boolean): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!running) return undefined;
    const tick = setInterval(() => setNow(Date.now()), TICK_MS);
    return () => clearInterval(tick);
  }, [running]);
  return now;
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.xs },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.m },
  grow: { flex: 1 },
});
