import type { ElkNode } from 'elkjs/lib/elk-api.js';
import ELK from 'elkjs/lib/elk.bundled.js';
import type { DiagramNode, DiagramWire, Netlist } from './netlist';

/** A point of the drawing, px. */
export interface DrawnPoint {
  /** From the left edge, px. */
  readonly x: number;
  /** From the upper edge, px. */
  readonly y: number;
}

/** A rectangle of the drawing, px. */
export interface DrawnBox extends DrawnPoint {
  /** px. */
  readonly width: number;
  /** px. */
  readonly height: number;
}

/** A box with its place. */
export interface DrawnNode extends DiagramNode, DrawnBox {}

/** A line with its corners and its label’s place. */
export interface DrawnWire extends DiagramWire {
  /** Corners from its beginning to its end; every stretch lies level or upright. */
  readonly points: readonly DrawnPoint[];
  /** Room that its label takes; undefined where it has none. */
  readonly labelBox: DrawnBox | undefined;
}

/** A wiring diagram, laid out. */
export interface Diagram {
  /** px. */
  readonly width: number;
  /** px. */
  readonly height: number;
  /** Everything that wires end at, with its place. */
  readonly nodes: readonly DrawnNode[];
  /** Every wire, with its way. */
  readonly wires: readonly DrawnWire[];
}

/** Faces of the diagram: size of titles and details, and what a letter takes, px; measured on the condensed face, widest letters. */
const TITLE = { heightPx: 18, letterPx: 8.2 } as const;
const DETAIL = { heightPx: 15, letterPx: 7 } as const;
/** Room inside a box, px. */
const INSET_PX = 10;
/** Room for a symbol in a box, px. */
const SYMBOL_PX = 34;

/** Layered from the device to the sources, lines at right angles, labels on their lines (ELK; Sugiyama, Tagawa and Toda 1981). */
const OPTIONS = {
  'elk.algorithm': 'layered',
  'elk.direction': 'RIGHT',
  'elk.edgeRouting': 'ORTHOGONAL',
  'elk.layered.crossingMinimization.strategy': 'LAYER_SWEEP',
  'elk.layered.thoroughness': '20',
  'elk.layered.spacing.nodeNodeBetweenLayers': '40',
  'elk.layered.spacing.edgeNodeBetweenLayers': '18',
  'elk.spacing.nodeNode': '26',
  'elk.spacing.edgeEdge': '16',
  'elk.spacing.edgeNode': '18',
  'elk.spacing.edgeLabel': '4',
  'elk.edgeLabels.placement': 'CENTER',
  'elk.randomSeed': '1',
} as const;

const elk = new ELK();

/** Lays a netlist out. The same netlist gives the same drawing. */
export async function layoutDiagram({ nodes, wires }: Netlist): Promise<Diagram> {
  const graph: ElkNode = {
    id: 'root',
    layoutOptions: OPTIONS,
    children: nodes.map((node) => ({
      id: node.id,
      ...sizeOf(node, wires),
      layoutOptions: { 'elk.portConstraints': 'FREE' },
    })),
    edges: wires.map((wire) => ({
      id: wire.id,
      sources: [wire.from],
      targets: [wire.to],
      labels:
        wire.label === ''
          ? []
          : [
              {
                text: wire.label,
                width: wire.label.length * DETAIL.letterPx,
                height: DETAIL.heightPx,
              },
            ],
    })),
  };
  const laid = await elk.layout(graph);
  const boxes = new Map((laid.children ?? []).map((one) => [one.id, one]));
  const lines = new Map((laid.edges ?? []).map((one) => [one.id, one]));
  return {
    width: laid.width ?? 0,
    height: laid.height ?? 0,
    nodes: nodes.map((node) => {
      const { x = 0, y = 0, width = 0, height = 0 } = boxes.get(node.id) ?? {};
      return { ...node, x, y, width, height };
    }),
    wires: wires.map((wire) => {
      const line = lines.get(wire.id);
      const [label] = line?.labels ?? [];
      return {
        ...wire,
        points: (line?.sections ?? []).flatMap(({ startPoint, bendPoints = [], endPoint }) => [
          startPoint,
          ...bendPoints,
          endPoint,
        ]),
        labelBox:
          label === undefined
            ? undefined
            : {
                x: label.x ?? 0,
                y: label.y ?? 0,
                width: label.width ?? 0,
                height: label.height ?? 0,
              },
      };
    }),
  };
}

/** A box is as wide as its words, and as high as its lines need. */
function sizeOf(
  node: DiagramNode,
  wires: readonly DiagramWire[],
): { width: number; height: number } {
  const words = Math.max(node.title.length * TITLE.letterPx, node.detail.length * DETAIL.letterPx);
  const symbol = node.kind === 'device' || node.kind === 'source' ? 0 : SYMBOL_PX;
  const ends = Math.max(
    ...['from', 'to'].map(
      (end) => wires.filter((wire) => wire[end as 'from' | 'to'] === node.id).length,
    ),
  );
  return {
    width: Math.ceil(words + symbol + 2 * INSET_PX),
    height: Math.max(TITLE.heightPx + DETAIL.heightPx + 2 * INSET_PX, ends * PER_END_PX),
  };
}

/** So far apart lines leave a box, px: a label’s height and some air. */
const PER_END_PX = 24;
