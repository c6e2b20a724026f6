import { completions } from '@lucky-thread/core/identify/legend';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { SPACE } from '../../ui/tokens';

/** Words proposed at once. */
const MOST_WORDS = 5;
/** The legend at the end of what was typed: what follows a cell's rating. */
const LEGEND_AT_END =
  /(?:^|[,;\n\t|])\s*(?:[A-Za-z0-9._-]+\s*[:=]\s*)?(?:\d+(?:[.,]\d+)?\s*a?\s*\??|[-–—.])\s+([^,;\n\t|"{}]+)$/i;

/** Proposes how the legend in hand may go on; one touch writes it and begins the next cell. */
export function LegendWords(props: {
  readonly text: string;
  readonly onText: (text: string) => void;
}) {
  const { text, onText } = props;
  const begun = LEGEND_AT_END.exec(text)?.[1];
  const words = useMemo(
    () => (begun === undefined ? [] : completions(begun, metIn(text), MOST_WORDS)),
    [begun, text],
  );
  if (begun === undefined || words.length === 0) return null;
  return (
    <View style={styles.row} aria-label="Legends that begin so" role="group">
      {words.map((word) => (
        <ActionButton
          key={word}
          label={word}
          testID={`complete-${word}`}
          onPress={() => onText(`${text.slice(0, text.length - begun.length)}${word}, `)}
        />
      ))}
    </View>
  );
}

/** Legends of the same lid: what stands there once often stands there again, with another number. */
function metIn(text: string): string[] {
  return text
    .split(/[,;\n\t|]/)
    .slice(0, -1)
    .map((cell) => cell.replace(/^[^A-Za-z]*\s+/, '').trim())
    .filter((legend) => legend !== '');
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs },
});
