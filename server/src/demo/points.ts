import type { BenchWire, BenchWireKind } from '@lucky-thread/core/bench';
import type {
  BodySide,
  BodyZone,
  CavitySource,
  Place,
  PlaceKind,
  Source,
} from '@lucky-thread/core/vehicle';

/** A place of points as its demo data is written down. */
export interface PointRows {
  /** Unique in its model. */
  readonly id: string;
  /** What kind of place it is. */
  readonly kind: Extract<PlaceKind, 'relaySocket' | 'stud' | 'groundPoint' | 'connector'>;
  /** As it stands on the screens. */
  readonly name: string;
  /** Where it is, in a phrase. */
  readonly location: string;
  /** Zone of the body. */
  readonly zone: BodyZone;
  /** Side of the body; left and right as seen by the driver. */
  readonly side: BodySide;
  /** How one gets at it, a step each. */
  readonly access: readonly string[];
  /** How long it takes to get at it, s. */
  readonly seconds: number;
  /** Name, what one goes by (thread in mm, or colour), and what is really behind it. */
  readonly points: readonly (readonly [
    name: string,
    mark: number | string,
    behind: BenchWireKind,
  ])[];
  /** Cavities in a row of a connector; 0 elsewhere. */
  readonly columns?: number;
}

/** The place as it can be seen. */
export function pointsFrom(rows: PointRows): Place {
  const { columns = 0, points } = rows;
  return {
    id: rows.id,
    kind: rows.kind,
    name: rows.name,
    location: rows.location,
    zone: rows.zone,
    side: rows.side,
    reach: { steps: rows.access, fasteners: [], tools: [], seconds: rows.seconds },
    notes: '',
    columns,
    rows: columns === 0 ? 0 : Math.ceil(points.length / columns),
    sources: points.map(([name, mark], index) => sourceOf(rows, { name, mark, index })),
  };
}

function sourceOf(
  { id, kind, columns = 1 }: PointRows,
  {
    name,
    mark,
    index,
  }: { readonly name: string; readonly mark: number | string; readonly index: number },
): Source {
  const head = { id: `${id}/${name}`, name };
  switch (kind) {
    case 'relaySocket':
      return { kind: 'relayTerminal', ...head, terminal: name };
    case 'stud':
      return { kind: 'stud', ...head, threadMm: Number(mark) };
    case 'groundPoint':
      return { kind: 'ground', ...head, threadMm: Number(mark) };
    case 'connector':
      return {
        kind: 'cavity',
        ...head,
        ...wireFrom(String(mark)),
        column: index % columns,
        row: Math.floor(index / columns),
      };
  }
}

/** A wire as it is written down: its colour, and its cross-section where somebody measured it, e.g. "RD 4". */
function wireFrom(mark: string): Pick<CavitySource, 'colour' | 'gaugeMm2' | 'gaugeMeasured'> {
  const [colour, gauge] = mark.split(' ');
  if (gauge === undefined) return { colour };
  return { colour, gaugeMm2: Number(gauge), gaugeMeasured: true };
}

/** What the simulated car has there. */
export function benchPoints(places: readonly PointRows[]): BenchWire[] {
  return places.flatMap(({ id, points }) =>
    points.map(([name, , behind]) => ({ id: `${id}/${name}`, behind })),
  );
}
