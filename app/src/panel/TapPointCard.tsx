import { memo } from 'react';
import type { ModelView, TapPointView } from '@lucky-thread/contract';
import { leadOf, matrixOf, toCoreReading } from '@lucky-thread/contract';
import { leadWords } from '@lucky-thread/work';
import { describeValue } from '@lucky-thread/core/identify/reading';
import {
  FUNCTION_NAMES,
  PLACE_WORDS,
  describeState,
  markOf,
  nameOf,
} from '@lucky-thread/core/vehicle';
import { StyleSheet, View } from 'react-native';
import { Card } from '../ui/Card';
import { Caution } from '../ui/Caution';
import { FunctionMark } from '../ui/FunctionMark';
import { Stitch } from '../ui/Stitch';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';

const STATUS_WORDS: Record<TapPointView['status'], string> = {
  reported: 'Reported',
  verified: 'Verified',
  disputed: 'Disputed',
};
const GRADE_WORDS: Record<TapPointView['grade'], string> = {
  probed: 'probed',
  probedByOther: 'probed elsewhere',
  legend: 'from a legend or manual',
  forum: 'from a forum',
  asserted: 'asserted',
};

/** What was joined at a speaker's lead. */
function speakerWords(tap: TapPointView): string {
  const lead = leadOf(tap);
  const name = lead === undefined ? 'Which end, nobody saw' : leadWords(lead);
  return `${name}. The unit’s own lead, end to end, no fuse.`;
}

/** A tap point of the log with its evidence. */
export const TapPointCard = memo(function TapPointCard({
  tap,
  model,
}: {
  readonly tap: TapPointView;
  readonly model: ModelView;
}) {
  const place = model.places.find((one) => one.sources.some(({ id }) => id === tap.sourceId));
  const source = place?.sources.find((one) => one.id === tap.sourceId);
  const matrix = matrixOf(tap);
  const against = tap.observations.filter((one) => one.kind === 'contradicted');
  const confirmed = tap.confirmedJobs;
  return (
    <Card testID={`tap-${tap.sourceId}`}>
      <View style={styles.head}>
        <View style={styles.grow}>
          <Words kind="heading">
            {source === undefined ? tap.sourceId : `${nameOf(source)} ${markOf(source) ?? ''}`}
          </Words>
          <Words>{FUNCTION_NAMES[tap.function].plain}</Words>
          <Words kind="small" soft>
            {FUNCTION_NAMES[tap.function].term} · {place?.name ?? ''}
          </Words>
        </View>
        <FunctionMark of={tap.function} sure={tap.status !== 'disputed'} />
      </View>
      {matrix.length > 0 ? (
        <Stitch stitch={matrix} named step={30} />
      ) : (
        <Words kind="small" soft>
          Imported without readings: nothing here has been seen on this shop’s cars.
        </Words>
      )}
      {matrix
        .filter((cell) => cell.values.length > 0)
        .map((cell) => (
          <Words kind="small" key={cell.place}>
            {PLACE_WORDS[cell.place]}: {cell.values.join(', ')}
          </Words>
        ))}
      <Words>
        {[
          ...(tap.supplyLandmark === null ? [] : [`Supply enters at the ${tap.supplyLandmark}.`]),
          tap.fuseA === null || tap.awg === null
            ? speakerWords(tap)
            : `Added: ${tap.fuseA} A fuse, ${tap.awg} AWG.`,
        ].join(' ')}
      </Words>
      {tap.note !== '' && <Words>“{tap.note}”</Words>}
      <Words kind="small" soft testID={`tap-status-${tap.sourceId}`}>
        {[
          STATUS_WORDS[tap.status],
          GRADE_WORDS[tap.grade],
          `${tap.loggedBy}, ${tap.loggedAt.slice(0, 10)}`,
          tap.yearFrom === tap.yearTo
            ? `model year ${tap.yearFrom}`
            : `${tap.yearFrom}–${tap.yearTo}`,
          ...(confirmed > 0
            ? [`confirmed on ${confirmed} job${confirmed === 1 ? '' : 's'} since`]
            : []),
        ].join(' · ')}
      </Words>
      {against.map((one) => (
        <Caution key={one.reading.id}>
          {`Contradicted: ${describeValue(toCoreReading(one.reading).value)}, ${describeState(one.reading.state)}, by ${one.reading.takenBy} on ${one.reading.takenAt.slice(0, 10)}.`}
        </Caution>
      ))}
    </Card>
  );
});

const styles = StyleSheet.create({
  head: { flexDirection: 'row', gap: SPACE.m, justifyContent: 'space-between' },
  grow: { flex: 1 },
});
