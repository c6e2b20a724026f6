import type { JobContext } from '@lucky-thread/work';
import { searchFrom, writeChecks } from '@lucky-thread/core/prove/symptoms';
import type { StitchPlace } from '@lucky-thread/core/vehicle';
import { PLACE_WORDS, describeState, isLeadPoint, placeOf } from '@lucky-thread/core/vehicle';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { ReadingPad } from '../../instruments/ReadingPad';
import { withdraw } from '../../store/outbox';
import { useAppDispatch } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { useShortcuts } from '../../ui/useShortcuts';
import { countingRows, useJobReadings } from '../../work/jobReadings';
import { useJobChange } from '../../work/useJobChange';
import { useTakeReading } from '../../work/useTakeReading';
import { waitsForProof } from './waitsForProof';
import type { CurrentCheck, Proving } from './useProving';

/** Props of {@link CheckDock}. */
export interface CheckDockProps {
  /** The job with its vehicle, device, shop and log. */
  readonly context: JobContext;
  /** All checks of the job with how they stand. */
  readonly proving: Proving;
  /** The check that is to be done now; undefined when none is left. */
  readonly current: CurrentCheck;
}

/** What can be put off: it costs waiting or risk, and then the job says what it waits for. */
const PUT_OFF: readonly StitchPlace[] = ['asleep', 'crank', 'engine', 'lamps'];

/** The check in hand: the state to bring the car to, where the probe goes, and the pad for it. */
export function CheckDock({ context, proving, current }: CheckDockProps) {
  const dispatch = useAppDispatch();
  const router = useRouter();
  const change = useJobChange(context.job);
  const { rows } = useJobReadings(context.job.id);
  const { check, standing, feedName } = current;
  const place = placeOf(check.state);
  const jobId = context.job.id;
  const taker = useTakeReading({ jobId, sourceId: check.pointId, state: check.state });
  const last = countingRows(rows).findLast((row) => isLeadPoint(row.sourceId));
  const undo = (): void => {
    if (last !== undefined) dispatch(withdraw(jobId, last.id));
  };
  const took = (kept: boolean): void => {
    if (kept) proving.goOn();
  };
  useShortcuts({
    l: { what: 'Lamp lit', run: () => void taker.glow('lit').then(took) },
    d: { what: 'Lamp dark', run: () => void taker.glow('dark').then(took) },
    m: { what: 'Simulated meter', run: () => void taker.simulated().then(took) },
    u: { what: 'Undo the last reading', run: undo },
  });
  const later = (): void => {
    change.setStanding({ waitsFor: waitsForProof(`${feedName}: ${PLACE_WORDS[place]}`) });
    proving.later();
  };
  return (
    <View style={styles.dock} aria-live="polite">
      <View style={styles.head}>
        <View style={styles.grow}>
          <Words kind="small" soft testID="checks-passed">
            {`${feedName} · ${proving.passed} of ${proving.all} proved`}
          </Words>
          <Words kind="instruction" testID="check-state">
            {capital(describeState(check.state))}
          </Words>
        </View>
        <ActionButton
          kind="quiet"
          label="Undo last"
          testID="undo"
          disabled={last === undefined}
          onPress={undo}
        />
      </View>
      <Words testID="check-how">{check.how}</Words>
      {standing.is !== 'failed' && (
        <Words kind="small" soft>
          {check.because}
        </Words>
      )}
      {check.caution !== undefined && <Caution>{check.caution}</Caution>}
      {standing.is === 'failed' && (
        <View role="alert" testID="check-failed" style={styles.tight}>
          <Words kind="label">{`${capital(standing.shows)}. ${check.because} Look at:`}</Words>
          {standing.look.map((one, index) => (
            <Words key={one} kind="small">{`${index + 1}. ${one}`}</Words>
          ))}
          <ActionButton
            kind="quiet"
            label="Search for it step by step"
            testID="find-fault"
            onPress={() =>
              router.navigate({
                pathname: '/tools/[tool]',
                params: {
                  ...{ tool: 'fault', job: jobId, feed: current.feedId },
                  ...beginning(check, standing.arrives),
                },
              })
            }
          />
        </View>
      )}
      <ReadingPad
        taker={taker}
        simulated={context.model.simulated}
        first="meter"
        testID="prove-pad"
        onTaken={proving.goOn}
      />
      {PUT_OFF.includes(place) && standing.is !== 'passed' && (
        <ActionButton label={`Later: ${PLACE_WORDS[place]}`} testID="prove-later" onPress={later} />
      )}
    </View>
  );
}

/** The search for a fault as its address has it. */
function beginning(
  check: CurrentCheck['check'],
  arrives: boolean,
): { readonly symptom: string; readonly seen: string } {
  const { symptom, done } = searchFrom(check, arrives);
  return { symptom, seen: writeChecks(done) };
}

function capital(text: string): string {
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
}

const styles = StyleSheet.create({
  dock: { gap: SPACE.s },
  head: { flexDirection: 'row', alignItems: 'flex-start', gap: SPACE.s },
  grow: { flex: 1 },
  tight: { gap: SPACE.xs },
});
