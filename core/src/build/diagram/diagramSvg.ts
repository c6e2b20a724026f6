import type { Diagram, DrawnNode, DrawnWire } from './layoutDiagram';

/** Ink, paper and faint lines of a diagram. */
export interface DiagramInk {
  readonly ink: string;
  readonly paper: string;
  readonly faint: string;
  /** Families of its letters, the first that there is. */
  readonly family?: string;
}

/** Black on white, for paper. */
export const PAPER_INK: DiagramInk = { ink: '#000000', paper: '#ffffff', faint: '#555555' };
/** Letters of the diagram where nobody says which. */
const FAMILY = 'Barlow Condensed, Arial Narrow, sans-serif';
/** Margin round the drawing, px. */
const MARGIN = 16;

/** A diagram as an SVG document of its own: symbols after IEC 60617 as far as they are common property. */
export function diagramSvg(
  diagram: Diagram,
  { ink, paper, faint, family = FAMILY }: DiagramInk = PAPER_INK,
): string {
  const [width, height] = [diagram.width + 2 * MARGIN, diagram.height + 2 * MARGIN];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${-MARGIN} ${-MARGIN} ${width} ${height}" width="${width}" height="${height}" font-family="${family}">`,
    `<rect x="${-MARGIN}" y="${-MARGIN}" width="${width}" height="${height}" fill="${paper}"/>`,
    ...diagram.wires.map((wire) => wireSvg(wire, { ink, paper, faint })),
    ...diagram.nodes.map((node) => nodeSvg(node, { ink, paper, faint })),
    '</svg>',
  ].join('\n');
}

function wireSvg({ points, labelBox, label }: DrawnWire, { ink, paper }: DiagramInk): string {
  const line = points.map(({ x, y }) => `${x},${y}`).join(' ');
  const text =
    labelBox === undefined
      ? ''
      : `<rect x="${labelBox.x - 2}" y="${labelBox.y}" width="${labelBox.width + 4}" height="${labelBox.height}" fill="${paper}"/><text x="${labelBox.x}" y="${labelBox.y + labelBox.height - 3}" font-size="13" fill="${ink}">${escaped(label)}</text>`;
  return `<polyline points="${line}" fill="none" stroke="${ink}" stroke-width="2"/>${text}`;
}

function nodeSvg(node: DrawnNode, { ink, paper, faint }: DiagramInk): string {
  const { x, y, width, height, kind } = node;
  const textX = x + 10 + (kind === 'device' || kind === 'source' ? 0 : 34);
  const middle = y + height / 2;
  return [
    `<rect x="${x}" y="${y}" width="${width}" height="${height}" rx="4" fill="${paper}" stroke="${ink}" stroke-width="${kind === 'device' ? 3 : 1.5}"/>`,
    symbolSvg(node, ink),
    `<text x="${textX}" y="${middle - 2}" font-size="16" font-weight="700" fill="${ink}">${escaped(node.title)}</text>`,
    `<text x="${textX}" y="${middle + 14}" font-size="13" fill="${faint}">${escaped(node.detail)}</text>`,
  ].join('');
}

/** Strokes of a symbol in a box of 24 × 20 px, as SVG path data: fuse, relay coil, earth. */
export const SYMBOL_PATHS: Readonly<Record<'fuse' | 'relay' | 'ground' | 'joint', string>> = {
  fuse: 'M0 10 H24 M4 5 H20 V15 H4 Z',
  relay: 'M12 0 V4 M12 16 V20 M2 4 H22 V16 H2 Z M2 16 L22 4',
  ground: 'M12 0 V8 M2 8 H22 M6 12 H18 M10 16 H14',
  joint: 'M0 10 H9 M15 10 H24 M9 10 A3 3 0 1 0 15 10 A3 3 0 1 0 9 10',
};

function symbolSvg({ kind, x, y, height }: DrawnNode, ink: string): string {
  if (kind === 'device' || kind === 'source') return '';
  return `<path d="${SYMBOL_PATHS[kind]}" transform="translate(${x + 8} ${y + height / 2 - 10})" fill="none" stroke="${ink}" stroke-width="1.5"/>`;
}

/** What XML 1.0 has no place for: control signs, halves of signs, and the two that are none. */
const NO_XML = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|\p{Cs}/gu;

function escaped(text: string): string {
  return text.replace(NO_XML, '').replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);
}
