import type { Candidate as WholeCandidate } from '@lucky-thread/core/choose';
import type { Verdict } from '@lucky-thread/core/identify';
import type { Source } from '@lucky-thread/core/vehicle';
import { titleOf } from '@lucky-thread/work';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { ActionButton } from '../../ui/ActionButton';
import { Stitch } from '../../ui/Stitch';
import { usePalette } from '../../ui/ThemeProvider';
import { RADIUS, SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** What the list shows of a candidate. */
export type ShownCandidate = Pick<WholeCandidate, 'sourceId' | 'because' | 'cautions'>;

/** Props of {@link CandidateList}. */
export interface CandidateListProps {
  /** The feed that a source is chosen for. */
  readonly feedId: string;
  /** The sources from best to worst. */
  readonly candidates: readonly ShownCandidate[];
  /** What is known of each source, by its id. */
  readonly verdicts: ReadonlyMap<string, Verdict>;
  /** The sources that are spoken of, by their id. */
  readonly sources: ReadonlyMap<string, Source>;
  /** Id of the one that was chosen; undefined while none is. */
  readonly chosenId: string | undefined;
  /** Called with the id of the chosen source. */
  readonly onChoose: (sourceId: string) => void;
}

const SHOWN_FIRST = 3;

/** The sources that could serve a feed, best first, each with the sentence that explains its place. */
export function CandidateList(props: CandidateListProps) {
  const [all, setAll] = useState(false);
  const shown = props.candidates.filter(
    (one, index) => all || index < SHOWN_FIRST || one.sourceId === props.chosenId,
  );
  const rest = props.candidates.length - shown.length;
  return (
    <View style={styles.list} role="radiogroup" aria-label="Sources for this feed">
      {shown.map((candidate, index) => (
        <CandidateRow
          key={candidate.sourceId}
          {...props}
          candidate={candidate}
          best={index === 0}
        />
      ))}
      {rest > 0 && (
        <ActionButton kind="quiet" label={`${rest} more`} onPress={() => setAll(true)} />
      )}
    </View>
  );
}

function CandidateRow(props: CandidateListProps & { candidate: ShownCandidate; best: boolean }) {
  const palette = usePalette();
  const { candidate } = props;
  const source = props.sources.get(candidate.sourceId);
  const verdict = props.verdicts.get(candidate.sourceId);
  if (source === undefined || verdict === undefined) return null;
  const chosen = candidate.sourceId === props.chosenId;
  return (
    <TouchableRipple
      role="radio"
      aria-checked={chosen}
      testID={`candidate-${props.feedId}-${source.id}`}
      onPress={() => props.onChoose(source.id)}
      style={[
        styles.row,
        {
          borderColor: chosen ? palette.ink : palette.line,
          borderWidth: chosen ? 2.5 : 1,
          backgroundColor: palette.canvas,
        },
      ]}
    >
      <View style={styles.inside}>
        <View style={styles.head}>
          <Words kind="heading">
            {chosen ? '◉' : '○'} {titleOf(source)}
          </Words>
          <Stitch stitch={verdict.stitch} step={16} />
        </View>
        <Words kind="small">
          {props.best ? 'Best: ' : ''}
          {candidate.because}
        </Words>
        {candidate.cautions.map((caution) => (
          <Words kind="small" soft key={caution}>
            {`△ ${caution}`}
          </Words>
        ))}
      </View>
    </TouchableRipple>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { borderRadius: RADIUS, padding: SPACE.m },
  inside: { gap: SPACE.xs },
  head: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    justifyContent: 'space-between',
    alignItems: 'center',
    gap: SPACE.s,
  },
});
