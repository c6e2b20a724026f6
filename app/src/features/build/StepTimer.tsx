import { useEffect, useState } from 'react';
import { StyleSheet, Vibration, View } from 'react-native';
import { useKeptDraft } from '../../store/keptDraft';
import { askToTell, tellTime } from '../../ui/tellTime';
import { ActionButton } from '../../ui/ActionButton';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Props of {@link StepTimer}. */
export interface StepTimerProps {
  /** Tells the timers of a device apart. */
  readonly id: string;
  /** How long it has to run. */
  readonly seconds: number;
}

/** How often the figure is drawn anew, ms. */
const TICK_MS = 200;
/** What a phone does when the time is up, ms on, off, on. */
const BUZZ_MS = [200, 100, 200];

/** A wait that is counted from when it was begun: it runs on while the phone shows something else, and tells when it is over. */
export function StepTimer({ id, seconds }: StepTimerProps) {
  const { draft, setDraft } = useKeptDraft<{ readonly since: number }>(`timer ${id}`, { since: 0 });
  const [now, setNow] = useState(() => Date.now());
  const running = draft.since > 0;
  const leftMs = running ? draft.since + seconds * 1000 - now : seconds * 1000;
  const over = running && leftMs <= 0;
  useEffect(() => {
    if (!running || over) return undefined;
    const tick = setInterval(() => setNow(Date.now()), TICK_MS);
    return () => clearInterval(tick);
  }, [running, over]);
  useEffect(() => {
    if (!over) return;
    Vibration.vibrate(BUZZ_MS);
    tellTime(`${seconds} s are over`);
  }, [over, seconds]);
  return (
    <View style={styles.row} aria-live="polite">
      <Words kind="figure" testID="step-timer">
        {over ? 'Time' : `${Math.max(0, leftMs / 1000).toFixed(seconds < 60 ? 1 : 0)} s`}
      </Words>
      <ActionButton
        label={running ? 'Again' : `Start ${seconds} s`}
        testID="step-timer-start"
        onPress={() => {
          setNow(Date.now());
          setDraft({ since: Date.now() });
          void askToTell();
        }}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.m },
});
