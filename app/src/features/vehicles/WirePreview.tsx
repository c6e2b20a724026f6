import type { TypedWire, TypedWires } from '@lucky-thread/core/vehicle/typed';
import { ScrollView, StyleSheet, View } from 'react-native';
import { WireSwatch } from '../../panel/WireSwatch';
import { usePalette } from '../../ui/ThemeProvider';
import { RADIUS, SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Width of a cavity on the drawing, px. */
const CELL = 92;

/** The wires as they were read: a connector as one looks at it, a loom as a list. */
export function WirePreview(props: { readonly wires: TypedWires; readonly grid: boolean }) {
  const { wires, grid } = props;
  const palette = usePalette();
  return (
    <View testID="wires-preview" style={styles.stack}>
      <Words kind="small" soft>
        {`${wires.wires.length} ${wires.wires.length === 1 ? 'wire' : 'wires'}${grid ? `, seen from the side that the wires go in` : ''}`}
      </Words>
      <ScrollView horizontal={grid} tabIndex={0}>
        <View
          style={
            grid
              ? {
                  width: wires.columns * CELL + 2 * SPACE.s,
                  height: wires.rows * CELL + 2 * SPACE.s,
                  backgroundColor: palette.sunken,
                  borderRadius: RADIUS * 2,
                }
              : styles.list
          }
        >
          {wires.wires.map((wire) => (
            <View
              key={wire.name}
              style={
                grid && {
                  position: 'absolute',
                  left: SPACE.s + wire.column * CELL,
                  top: SPACE.s + wire.row * CELL,
                  width: CELL,
                  height: CELL,
                }
              }
            >
              <Wire wire={wire} grid={grid} />
            </View>
          ))}
        </View>
      </ScrollView>
    </View>
  );
}

function Wire({ wire, grid }: { readonly wire: TypedWire; readonly grid: boolean }) {
  const palette = usePalette();
  const look = wire.seenColour ?? wire.colour;
  const faded = wire.seenColour === undefined ? '' : ` (${wire.colour ?? '?'})`;
  return (
    <View
      style={[
        grid ? styles.cavity : styles.wire,
        { backgroundColor: palette.raised, borderColor: palette.line },
      ]}
    >
      <Words kind="code">{wire.name}</Words>
      <WireSwatch colour={look} />
      <Words kind="code">{`${look ?? '?'}${faded}`}</Words>
      {!grid && (
        <Words kind="small" soft style={styles.fill}>
          {detailOf(wire)}
        </Words>
      )}
    </View>
  );
}

function detailOf({ gaugeMm2, gaugeMeasured, tapedWith, alsoFeeds }: TypedWire): string {
  return [
    gaugeMm2 === undefined ? '' : `${gaugeMeasured === true ? '' : 'about '}${gaugeMm2} mm²`,
    tapedWith === undefined ? '' : `taped with ${tapedWith}`,
    alsoFeeds === undefined ? '' : `also feeds ${alsoFeeds}`,
  ]
    .filter((part) => part !== '')
    .join(' · ');
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  list: { gap: SPACE.xs },
  fill: { flex: 1 },
  wire: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: SPACE.s,
    padding: SPACE.s,
    borderWidth: 1,
    borderRadius: RADIUS,
  },
  cavity: {
    flex: 1,
    margin: 2,
    alignItems: 'center',
    justifyContent: 'center',
    gap: 2,
    borderWidth: 1,
    borderRadius: RADIUS,
  },
});
