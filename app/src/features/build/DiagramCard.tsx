import type { Diagram, DrawnNode, DrawnWire } from '@lucky-thread/core/build/diagram';
import { SYMBOL_PATHS, diagramSvg } from '@lucky-thread/core/build/drawing';
import { memo, useCallback, useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import Svg, { G, Path, Polyline, Rect, Text as SvgText } from 'react-native-svg';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { NotWorkedOut } from '../../ui/States';
import { usePalette } from '../../ui/ThemeProvider';
import { saveText } from '../../ui/saveText';
import { FACES, SPACE } from '../../ui/tokens';
import { useUnits } from '../../ui/Units';
import { Words } from '../../ui/Words';
import type { BuildQuestion } from '../../workers/builder';
import { askDiagram } from '../../workers/builder';
import { useAnswer } from '../../workers/useAnswer';

/** Margin round the drawing, px. */
const MARGIN = 12;
/** Steps of the zoom. */
const ZOOMS = [0.6, 0.8, 1, 1.4, 2] as const;

/** The wiring diagram of the job: moved by the thumb, larger and smaller by a touch, each line told why by touching it. */
export const DiagramCard = memo(function DiagramCard({
  question,
}: {
  readonly question: BuildQuestion;
}) {
  const units = useUnits();
  const asked = useMemo(() => ({ ...question, units }), [question, units]);
  const { answer: diagram, problem, retry } = useAnswer(asked, askDiagram);
  const [zoom, setZoom] = useState(1);
  const [touched, setTouched] = useState<string>();
  const onWire = useCallback(
    (id: string) => setTouched((before) => (before === id ? undefined : id)),
    [],
  );
  const wire = diagram?.wires.find(({ id }) => id === touched);
  return (
    <Card testID="diagram">
      <View style={styles.head}>
        <Words kind="heading" style={styles.grow}>
          Wiring diagram
        </Words>
        <ActionButton
          kind="quiet"
          label="−"
          spoken="Smaller"
          testID="diagram-smaller"
          disabled={zoom === 0}
          onPress={() => setZoom(zoom - 1)}
        />
        <ActionButton
          kind="quiet"
          label="+"
          spoken="Larger"
          testID="diagram-larger"
          disabled={zoom === ZOOMS.length - 1}
          onPress={() => setZoom(zoom + 1)}
        />
        <ActionButton
          kind="quiet"
          label="Save"
          spoken="Save the diagram as a file"
          testID="diagram-save"
          disabled={diagram === undefined}
          onPress={() =>
            diagram !== undefined && saveText('wiring.svg', diagramSvg(diagram), 'image/svg+xml')
          }
        />
      </View>
      <NotWorkedOut what="The diagram" problem={problem} onRetry={retry} />
      {diagram !== undefined && (
        <>
          <ScrollView horizontal tabIndex={0} testID="diagram-scroll">
            <Drawing diagram={diagram} scale={ZOOMS[zoom] ?? 1} touched={touched} onWire={onWire} />
          </ScrollView>
          <Words kind="small" soft testID="diagram-why">
            {wire === undefined
              ? 'Touch a line to see its why.'
              : `${wire.label === '' ? 'This line' : wire.label}: ${wire.why.length === 0 ? 'as the kit has it.' : wire.why.join(' ')}`}
          </Words>
        </>
      )}
    </Card>
  );
});

function Drawing(props: {
  readonly diagram: Diagram;
  readonly scale: number;
  readonly touched: string | undefined;
  readonly onWire: (id: string) => void;
}) {
  const { diagram, scale } = props;
  const [width, height] = [diagram.width + 2 * MARGIN, diagram.height + 2 * MARGIN];
  return (
    <Svg
      width={width * scale}
      height={height * scale}
      viewBox={`${-MARGIN} ${-MARGIN} ${width} ${height}`}
    >
      {diagram.wires.map((wire) => (
        <Wire key={wire.id} wire={wire} touched={wire.id === props.touched} onWire={props.onWire} />
      ))}
      {diagram.nodes.map((node) => (
        <Box key={node.id} node={node} />
      ))}
    </Svg>
  );
}

const Wire = memo(function Wire(props: {
  readonly wire: DrawnWire;
  readonly touched: boolean;
  readonly onWire: (id: string) => void;
}) {
  const palette = usePalette();
  const { id, points, labelBox, label } = props.wire;
  const line = points.map(({ x, y }) => `${x},${y}`).join(' ');
  return (
    <G onPress={() => props.onWire(id)} testID={`wire-${id}`}>
      {/* A broad line that is not seen: what a thumb hits. */}
      <Polyline points={line} fill="none" stroke="transparent" strokeWidth={22} />
      <Polyline
        points={line}
        fill="none"
        stroke={props.touched ? palette.accent : palette.ink}
        strokeWidth={props.touched ? 4 : 2}
      />
      {labelBox !== undefined && (
        <>
          <Rect
            x={labelBox.x - 2}
            y={labelBox.y}
            width={labelBox.width + 4}
            height={labelBox.height}
            fill={palette.raised}
          />
          <SvgText
            x={labelBox.x}
            y={labelBox.y + labelBox.height - 3}
            fontSize={13}
            fontFamily={FACES.label}
            fill={palette.ink}
          >
            {label}
          </SvgText>
        </>
      )}
    </G>
  );
});

/** Room that a symbol takes in its box, px. */
const SYMBOL_PX = 34;

const Box = memo(function Box({ node }: { readonly node: DrawnNode }) {
  const palette = usePalette();
  const { x, y, width, height, kind } = node;
  const plain = kind === 'device' || kind === 'source';
  const textX = x + 10 + (plain ? 0 : SYMBOL_PX);
  const middle = y + height / 2;
  return (
    <G>
      <Rect
        x={x}
        y={y}
        width={width}
        height={height}
        rx={4}
        fill={palette.canvas}
        stroke={palette.ink}
        strokeWidth={kind === 'device' ? 3 : 1.5}
      />
      {!plain && (
        <G x={x + 8} y={middle - 10}>
          <Path d={SYMBOL_PATHS[kind]} fill="none" stroke={palette.ink} strokeWidth={1.5} />
        </G>
      )}
      <SvgText x={textX} y={middle - 2} fontSize={16} fontFamily={FACES.strong} fill={palette.ink}>
        {node.title}
      </SvgText>
      <SvgText
        x={textX}
        y={middle + 14}
        fontSize={13}
        fontFamily={FACES.label}
        fill={palette.inkSoft}
      >
        {node.detail}
      </SvgText>
    </G>
  );
});

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
});
