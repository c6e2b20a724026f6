import { orientationFrom, tapCurrents } from '@lucky-thread/core/choose';
import type { ContactReading, Orientation } from '@lucky-thread/core/choose';
import { describeValue } from '@lucky-thread/core/identify/reading';
import type { NeedRole } from '@lucky-thread/core/identify';
import { CONTINUOUS_SHARE } from '@lucky-thread/core/size';
import type { SlotSource, StitchPlace } from '@lucky-thread/core/vehicle';
import { PLACE_WORDS, describeState, placeOf, stateAt } from '@lucky-thread/core/vehicle';
import { StyleSheet, View } from 'react-native';
import { carBroughtTo } from '../../store/probeSlice';
import { useAppDispatch } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { ReadingPad } from '../../instruments/ReadingPad';
import type { Finding } from '../../work/useFind';
import { useTakeReading } from '../../work/useTakeReading';
import type { TappedFeed, JobContext } from '@lucky-thread/work';
import { OrientationDrawing } from '../../panel/OrientationDrawing';
import { contactReadings, tapOfOthers } from '@lucky-thread/work';
import { coreReadings } from '../../work/jobReadings';

/** A place in which the circuit of a role is live, so that its contacts tell something. */
const LIVE_PLACE: Partial<Record<NeedRole, StitchPlace>> = {
  constant: 'off',
  switched: 'run',
  illumination: 'lamps',
  reverse: 'reverse',
  brake: 'brake',
  starter: 'crank',
};

/** Props of {@link OrientationCard}. */
export interface OrientationCardProps {
  /** The job with its vehicle, device, shop and log. */
  readonly context: JobContext;
  /** The readings, what they say, and what to do next. */
  readonly finding: Finding;
  /** The feed with its chosen source. */
  readonly tapped: TappedFeed<SlotSource>;
}

/** Which way round the tap goes: two readings of the empty slot, the drawing, and what the wrong way would do. */
export function OrientationCard({ context, finding, tapped }: OrientationCardProps) {
  const dispatch = useAppDispatch();
  const { source: slot, feed } = tapped;
  const readings = contactReadings(slot.id, coreReadings(finding.rows));
  const orientation = orientationFrom(readings);
  const supply = orientation.kind === 'found' ? orientation.supply : undefined;
  const place = LIVE_PLACE[feed.role] ?? 'run';
  const there = placeOf(finding.probing.state) === place;
  const logged = tapOfOthers(context, slot.id);
  return (
    <View style={styles.stack} testID={`orientation-${feed.id}`}>
      <Words kind="heading">Which way round</Words>
      <Caution>
        {`Key off and out before ${slot.position} comes out. Read its legend once more: ${slot.legend ?? 'none'}.`}
      </Caution>
      <OrientationDrawing
        slot={slot}
        supply={
          supply ?? (readings.length === 0 ? (logged?.supplyContact ?? undefined) : undefined)
        }
      />
      {logged !== undefined && (
        <Words kind="small">
          In the log: supply at the {logged.supplyLandmark}. Confirm it here.
        </Words>
      )}
      {!there && (
        <ActionButton
          label={`Fuse is out, and it is: ${PLACE_WORDS[place]}`}
          testID={`live-place-${feed.id}`}
          onPress={() => dispatch(carBroughtTo({ jobId: context.job.id, state: stateAt(place) }))}
        />
      )}
      {there && <ContactPads {...{ context, finding, tapped }} />}
      <OrientationVerdict orientation={orientation} tapped={tapped} />
    </View>
  );
}

/** Both contacts of the empty slot, to be read. */
function ContactPads({ context, finding, tapped }: OrientationCardProps) {
  const { source: slot } = tapped;
  const readings = contactReadings(slot.id, coreReadings(finding.rows));
  return (
    <>
      <Words kind="small">
        {`Fuse out, ${describeState(finding.probing.state)}: read both contacts of the empty slot.`}
      </Words>
      {slot.contacts.map((contact) => (
        <ContactPad
          key={contact.id}
          {...{ context, finding, tapped }}
          contact={contact.id}
          landmark={contact.landmark}
          last={readings.filter((one) => one.contact === contact.id).at(-1)}
        />
      ))}
    </>
  );
}

function ContactPad(
  props: OrientationCardProps & {
    readonly contact: 'a' | 'b';
    readonly landmark: string;
    readonly last: ContactReading | undefined;
  },
) {
  const { context, finding, tapped, contact, landmark, last } = props;
  const taker = useTakeReading({
    jobId: context.job.id,
    sourceId: tapped.source.id,
    contact,
    state: finding.probing.state,
  });
  return (
    <View style={styles.pad}>
      <Words kind="label">
        {`${landmark}: ${last === undefined ? 'not read' : `${describeValue(last.value)}`}`}
      </Words>
      <ReadingPad
        taker={taker}
        simulated={context.model.simulated}
        first={context.settings.schools.tester}
        testID={`contact-${tapped.feed.id}-${contact}`}
      />
    </View>
  );
}

function OrientationVerdict(props: { orientation: Orientation; tapped: TappedFeed<SlotSource> }) {
  const { orientation, tapped } = props;
  if (orientation.kind === 'incomplete') return null;
  if (orientation.kind !== 'found') return <Caution>{orientation.advice}</Caution>;
  const { source: slot, feed } = tapped;
  const landmark = slot.contacts.find((one) => one.id === orientation.supply)?.landmark ?? '';
  const originalA = CONTINUOUS_SHARE * (slot.ratingA ?? 0);
  const wrong = tapCurrents(originalA, feed.currentA, false);
  return (
    <View style={styles.pad}>
      <Words kind="instruction" testID={`supply-side-${feed.id}`}>
        {`Supply enters at the ${landmark}: the tap’s line blade goes there.`}
      </Words>
      <Words kind="small">
        {`Right way round, ${slot.position} carries its own load and the added fuse ${feed.currentA} A. The other way round ${slot.position} would carry both, up to ${wrong.originalFuseA.toFixed(1)} A with its own at 75 % of ${slot.ratingA ?? 0} A, and the added lead would die with it.`}
      </Words>
      <Words kind="small" soft>
        Proof afterwards: original fuse out, the added lead stays live.
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  pad: { gap: SPACE.xs },
});
