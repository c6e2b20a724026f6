import type { Reading, Verdict } from '@lucky-thread/core/identify';
import { describeValue } from '@lucky-thread/core/identify/reading';
import { toCoreReading } from '@lucky-thread/contract';
import { FUNCTION_NAMES, PLACE_WORDS, describeState } from '@lucky-thread/core/vehicle';
import { memo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../ui/ActionButton';
import { Card } from '../ui/Card';
import { Caution } from '../ui/Caution';
import { FunctionMark } from '../ui/FunctionMark';
import { Stitch } from '../ui/Stitch';
import { usePalette } from '../ui/ThemeProvider';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';
import type { ReadingRow } from '../work/jobReadings';

/** Props of {@link VerdictCard}. */
export interface VerdictCardProps {
  /** What the source is called and what one goes by there, e.g. "F5 RADIO · 10 A". */
  readonly title: string;
  /** What its legend warns of; left out: nothing. */
  readonly warning?: string | undefined;
  /** What is known of the source in hand. */
  readonly verdict: Verdict;
  /** The source's own readings. */
  readonly readings: readonly Reading[];
  /** What the model's log says about it; left out: nothing. */
  readonly logged?: string | undefined;
}

/** What a source is, how sure, from which readings, and what is still open. */
export const VerdictCard = memo(function VerdictCard(props: VerdictCardProps) {
  const { title, warning, verdict, readings, logged } = props;
  const [whyOf, setWhyOf] = useState<string>();
  const why = whyOf === verdict.sourceId;
  return (
    <Card testID="verdict">
      <View style={styles.head}>
        <Words kind="code" soft style={styles.grow}>
          {title}
        </Words>
        <Stitch stitch={verdict.stitch} named step={verdict.stitch.length > 6 ? 20 : 26} />
      </View>
      <Words kind="heading" testID="verdict-headline">
        {verdict.headline}
      </Words>
      {verdict.function !== undefined && (
        <Words kind="small" soft>
          {FUNCTION_NAMES[verdict.function].term}
        </Words>
      )}
      {warning !== undefined && <Caution>{warning}</Caution>}
      {verdict.fence !== undefined && (
        <Words kind="label" testID="fence">
          {verdict.fence.instruction}
        </Words>
      )}
      {logged !== undefined && <Words kind="small">{logged}</Words>}
      {verdict.contradictions.map((one) => (
        <Caution key={one.place}>{one.explanation}</Caution>
      ))}
      {verdict.status !== 'unread' && <Chances verdict={verdict} />}
      {verdict.missing.length > 0 && verdict.status !== 'unread' && (
        <Words kind="small" soft>
          Still to be seen: {verdict.missing.map((one) => PLACE_WORDS[one.place]).join(', ')}.
        </Words>
      )}
      <ActionButton
        kind="quiet"
        label={why ? 'Hide why' : 'Why?'}
        testID="why"
        onPress={() => setWhyOf(why ? undefined : verdict.sourceId)}
        style={styles.why}
      />
      {why && <Why verdict={verdict} readings={readings} />}
    </Card>
  );
});

/** The likeliest functions with their probabilities. */
function Chances({ verdict }: { readonly verdict: Verdict }) {
  const palette = usePalette();
  return (
    <View style={styles.chances}>
      {verdict.ranked.slice(0, 3).map((one) => (
        <View key={one.function} style={styles.chance}>
          <View style={styles.name}>
            <FunctionMark of={one.function} sure={verdict.function === one.function} />
          </View>
          <View style={[styles.track, { backgroundColor: palette.sunken }]}>
            <View
              style={[
                styles.bar,
                { backgroundColor: palette.ink, width: `${100 * one.probability}%` },
              ]}
            />
          </View>
          <Words kind="label" style={styles.percent}>
            {percent(one.probability)}
          </Words>
        </View>
      ))}
    </View>
  );
}

/** The readings behind a verdict, for and against. */
function Why({ verdict, readings }: Pick<VerdictCardProps, 'verdict' | 'readings'>) {
  const lines = (ids: readonly string[]): readonly Reading[] =>
    readings.filter((one) => ids.includes(one.id));
  const name = FUNCTION_NAMES[verdict.leading].term;
  return (
    <View style={styles.lines} testID="why-lines">
      <Words kind="small">
        {`Bayes’ rule from what is printed or known${verdict.support.length + verdict.against.length > 0 ? ' and these readings' : ''}. ${name} is likeliest, ${percent(verdict.certainty)}.`}
      </Words>
      {lines(verdict.support).map((row) => (
        <Words kind="small" key={row.id}>{`✓ ${lineOf(row)}`}</Words>
      ))}
      {lines(verdict.against).map((row) => (
        <Words kind="small" key={row.id}>{`✕ against it: ${lineOf(row)}`}</Words>
      ))}
      {verdict.missing.map((one) => (
        <Words kind="small" soft key={one.place}>
          {`○ ${PLACE_WORDS[one.place]}: would tell it from ${one.separates.map((each) => FUNCTION_NAMES[each].term).join(', ')}`}
        </Words>
      ))}
    </View>
  );
}

/** A reading in one line. */
export function readingLine(row: ReadingRow): string {
  return lineOf(toCoreReading(row));
}

function lineOf({ value, state }: Reading): string {
  return `${describeValue(value)}, ${describeState(state)}`;
}

/** Never a flat 100 per cent: no reading makes it that. */
function percent(share: number): string {
  if (share > 0.995) return '> 99 %';
  return share < 0.01 ? '< 1 %' : `${Math.round(100 * share)} %`;
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', gap: SPACE.m, alignItems: 'flex-start' },
  grow: { flex: 1 },
  chances: { gap: SPACE.xs },
  chance: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  name: { width: 92 },
  track: { flex: 1, height: 10, borderRadius: 5, overflow: 'hidden' },
  bar: { height: 10 },
  percent: { width: 52, textAlign: 'right' },
  why: { alignSelf: 'flex-start' },
  lines: { gap: SPACE.xs },
});
