import type { CardGrid, CardLayout, Gray } from '@lucky-thread/core/card';
import { CARD_LAYOUTS } from '@lucky-thread/core/card';
import { useState } from 'react';
import { Image, StyleSheet, View } from 'react-native';
import Svg, { Line } from 'react-native-svg';
import { ActionButton } from '../../../ui/ActionButton';
import { Choice } from '../../../ui/Choice';
import { usePalette } from '../../../ui/ThemeProvider';
import { SPACE } from '../../../ui/tokens';
import { Words } from '../../../ui/Words';

/** Props of {@link GridCheck}. */
export interface GridCheckProps {
  /** Size of the straightened card, pixels. */
  readonly card: Pick<Gray, 'width' | 'height'>;
  /** Address of the picture, for as long as it is shown. */
  readonly url: string;
  /** The lines between its cells. */
  readonly grid: CardGrid;
  /** How the cells are arranged on the card. */
  readonly layout: CardLayout;
  /** Called with the corrected counts. */
  readonly onCounts: (counts: { readonly rows: number; readonly columns: number }) => void;
  /** Called with the corrected layout. */
  readonly onLayout: (layout: CardLayout) => void;
}

const LAYOUT_WORDS: Record<CardLayout, string> = {
  boxes: 'A box for each fuse',
  list: 'A line for each fuse',
};
/** Most rows or columns of a card. */
const MOST = 40;

/** The straightened card with its rows and columns, as guessed or set. */
export function GridCheck(props: GridCheckProps) {
  const palette = usePalette();
  const { card, grid } = props;
  const [width, setWidth] = useState(0);
  const scale = width / card.width;
  const height = card.height * scale;
  const [rows, columns] = [grid.rows.length - 1, grid.columns.length - 1];
  return (
    <View style={styles.stack}>
      <View
        testID="card-grid"
        onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
        style={{ height }}
      >
        {width > 0 && (
          <>
            <Image
              source={{ uri: props.url }}
              accessibilityLabel="The lid, seen straight on"
              style={{ width, height }}
            />
            <Svg width={width} height={height} style={StyleSheet.absoluteFill} aria-hidden>
              {grid.rows.map((at) => (
                <Line
                  key={`row ${at}`}
                  x1={0}
                  x2={width}
                  y1={at * scale}
                  y2={at * scale}
                  stroke={palette.accent}
                  strokeWidth={2}
                />
              ))}
              {grid.columns.map((at) => (
                <Line
                  key={`column ${at}`}
                  y1={0}
                  y2={height}
                  x1={at * scale}
                  x2={at * scale}
                  stroke={palette.accent}
                  strokeWidth={2}
                />
              ))}
            </Svg>
          </>
        )}
      </View>
      <View style={styles.row}>
        <Count
          name="Rows"
          value={rows}
          onChange={(changed) => props.onCounts({ rows: changed, columns })}
        />
        <Count
          name="Columns"
          value={columns}
          onChange={(changed) => props.onCounts({ rows, columns: changed })}
        />
      </View>
      <Choice<CardLayout>
        label="How the card is laid out"
        testID="layout"
        even
        options={CARD_LAYOUTS.map((value) => ({ value, label: LAYOUT_WORDS[value] }))}
        value={props.layout}
        onChange={props.onLayout}
      />
    </View>
  );
}

function Count(props: {
  readonly name: string;
  readonly value: number;
  readonly onChange: (value: number) => void;
}) {
  const { name, value } = props;
  return (
    <View style={styles.count}>
      <ActionButton
        label="−"
        spoken={`Fewer ${name.toLowerCase()}`}
        testID={`fewer-${name.toLowerCase()}`}
        disabled={value <= 1}
        onPress={() => props.onChange(value - 1)}
      />
      <Words
        kind="label"
        testID={`count-${name.toLowerCase()}`}
      >{`${value} ${name.toLowerCase()}`}</Words>
      <ActionButton
        label="+"
        spoken={`More ${name.toLowerCase()}`}
        testID={`more-${name.toLowerCase()}`}
        disabled={value >= MOST}
        onPress={() => props.onChange(value + 1)}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s, justifyContent: 'space-between' },
  count: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
});
