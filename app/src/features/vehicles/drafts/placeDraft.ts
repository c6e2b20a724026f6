import type { FieldProblem, PlaceInput, PlaceView, SlotLook } from '@lucky-thread/contract';
import { inputOf, placeOf, validatePlace } from '@lucky-thread/contract/places';
import type {
  BodySide,
  BodyZone,
  ColourSystem,
  Place,
  PlaceKind,
} from '@lucky-thread/core/vehicle';
import type { TypedPanel, TypedProblem, TypedWires } from '@lucky-thread/core/vehicle/typed';
import { isConductor } from '@lucky-thread/core/vehicle';
import {
  typedPoints,
  typedWires,
  writtenPoints,
  writtenWires,
} from '@lucky-thread/core/vehicle/typed';
import type { PanelDraft } from './panelDraft';
import { EMPTY_PANEL, panelDraft, panelParts, readPanel } from './panelDraft';

/** Wires as they are being typed. */
export interface WiresDraft {
  /** The wires as they were typed, a line each. */
  readonly text: string;
  /** Name of the first. */
  readonly start: string;
  /** How their colours are written; undefined while no letters clash. */
  readonly system: ColourSystem | undefined;
}

/** A place of a model as it is being typed. */
export interface PlaceDraft {
  /** What kind of place it is. */
  readonly kind: PlaceKind;
  /** Its id once it is stored; before that it follows from its name. */
  readonly id: string | undefined;
  /** The version that is being changed; 0 for a new one. */
  readonly base: number;
  /** As it stands on the screens. */
  readonly name: string;
  /** Where it is, in a phrase. */
  readonly location: string;
  /** Zone of the body; undefined while nobody has said it. */
  readonly zone: BodyZone | undefined;
  /** Side of the body, as seen by the driver; undefined while nobody has said it. */
  readonly side: BodySide | undefined;
  /** How to get at it, a line per step. */
  readonly steps: string;
  /** What one needs to get at it, as it was typed. */
  readonly tools: string;
  /** How long that takes, s. */
  readonly seconds: string;
  /** What else is to be known of it. */
  readonly notes: string;
  /** How a connector is keyed. */
  readonly keying: string;
  /** The harness family that wires belong to. */
  readonly harness: string;
  /** Its slots, where it is a panel. */
  readonly panel: PanelDraft;
  /** Its wires, where it has some. */
  readonly wires: WiresDraft;
  /** Terminals of a relay socket. */
  readonly terminals: readonly string[];
  /** Studs or bolts. */
  readonly points: string;
}

/** What a new place of each kind is called until somebody names it. */
const FIRST_NAMES: Record<PlaceKind, string> = {
  fusePanel: 'Dash panel',
  connector: 'Radio connector',
  loom: 'Kick panel loom',
  relaySocket: 'Relay socket',
  stud: 'Battery stud',
  groundPoint: 'Ground point',
  socketOutlet: '12 V socket',
};

/** A place of a kind with nothing but what is usual. */
export function emptyPlace(kind: PlaceKind): PlaceDraft {
  return {
    kind,
    id: undefined,
    base: 0,
    name: FIRST_NAMES[kind],
    location: '',
    zone: undefined,
    side: undefined,
    steps: '',
    tools: '',
    seconds: '',
    notes: '',
    keying: '',
    harness: '',
    panel: EMPTY_PANEL,
    wires: { text: '', start: kind === 'connector' ? '1' : 'W1', system: undefined },
    terminals: kind === 'relaySocket' ? ['30', '85', '86', '87'] : [],
    points: kind === 'stud' || kind === 'groundPoint' ? FIRST_POINT[kind] : '',
  };
}

const FIRST_POINT = { stud: 'B1', groundPoint: 'G1' } as const;

/** A stored place as it would be typed. */
export function draftOf(place: PlaceView): PlaceDraft {
  const input = inputOf(place);
  const empty = emptyPlace(place.kind);
  const wires = place.sources.filter(isConductor).map((wire) => ({
    ...wire,
    tapedWith: wire.tapedWith?.split('/')[1],
  }));
  return {
    ...empty,
    id: place.id,
    base: place.version,
    name: place.name,
    location: place.location,
    zone: place.zone,
    side: place.side,
    steps: place.reach.steps.join('\n'),
    tools: place.reach.tools.join(', '),
    seconds: place.reach.seconds === undefined ? '' : String(place.reach.seconds),
    notes: place.notes,
    keying: place.keying ?? '',
    harness: place.harness ?? '',
    panel:
      input.kind === 'fusePanel'
        ? panelDraft(
            input,
            place.sources.filter((one) => one.kind === 'slot'),
          )
        : empty.panel,
    wires: wires.length === 0 ? empty.wires : { ...writtenWires(wires), system: 'iec' },
    terminals: input.kind === 'relaySocket' ? input.terminals : [],
    points: 'points' in input ? writtenPoints(input.points) : '',
  };
}

/** A place's id from its name: a short word that stands before every source of it. */
export function placeId(name: string): string {
  const word = name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 20)
    .replace(/-+$/, '');
  return word === '' || word === 'harness' ? 'place' : word;
}

/** A place's id: its own, or one from its name that no other place has. */
export function idOf(draft: Pick<PlaceDraft, 'id' | 'name'>, taken: readonly string[]): string {
  if (draft.id !== undefined) return draft.id;
  const word = placeId(draft.name);
  if (!taken.includes(word)) return word;
  for (let number = 2; ; number += 1) {
    const numbered = `${word.slice(0, 17)}-${number}`;
    if (!taken.includes(numbered)) return numbered;
  }
}

/** What was typed of a place, as far as it can be read. */
export interface ReadPlace {
  /** Id that it will have in its model. */
  readonly id: string;
  /** Its slots as they were read; undefined for other kinds. */
  readonly panel: TypedPanel | undefined;
  /** Its wires as they were read; undefined for other kinds. */
  readonly wires: TypedWires | undefined;
  /** What is sent. */
  readonly input: PlaceInput;
  /** The place as it will be; undefined while something is wrong. */
  readonly place: Place | undefined;
  /** What is wrong with the lid, the wires or the studs, by row and cell. */
  readonly typed: readonly TypedProblem[];
  /** Everything that is wrong. */
  readonly problems: readonly FieldProblem[];
}

/** A place from what was typed of it. */
export function readPlace(draft: PlaceDraft, others: readonly PlaceView[]): ReadPlace {
  const stored = others.find((one) => one.id === draft.id);
  const id = idOf(
    draft,
    others.map((one) => one.id),
  );
  const { panel, wires, input, typed } = partsOf(draft, id, stored);
  const checked = validatePlace(input);
  const problems = [
    ...(checked.ok ? [] : checked.problems),
    ...typed.map(({ row, cell, message }) => ({
      path: 'text',
      message: `row ${row}, cell ${cell}: ${message}`,
    })),
  ];
  const place = problems.length > 0 ? undefined : placeOf(id, input);
  return { id, panel, wires, input, place, typed, problems };
}

type Parts = Pick<ReadPlace, 'panel' | 'wires' | 'input' | 'typed'>;

function partsOf(draft: PlaceDraft, id: string, stored: PlaceView | undefined): Parts {
  const head = headOf(draft, stored);
  switch (draft.kind) {
    case 'fusePanel': {
      const panel = readPanel(draft.panel, id);
      const notes = withDoubts(head.notes, panel.doubtful);
      const parts = panelParts(draft.panel, panel, storedLooks(stored));
      const input = { kind: draft.kind, ...head, notes, ...parts } as const;
      return { panel, wires: undefined, input, typed: panel.problems };
    }
    case 'connector':
    case 'loom':
    case 'socketOutlet': {
      const { system, text } = draft.wires;
      const start = draft.wires.start.trim() === '' ? '1' : draft.wires.start.trim();
      const wires = typedWires(text, { system, start });
      const input = { ...head, ...harnessOf(draft), ...wiresOf(draft.kind, wires) };
      return { panel: undefined, wires, input, typed: wires.problems };
    }
    case 'relaySocket': {
      const input = { kind: draft.kind, ...head, terminals: [...draft.terminals] };
      return { panel: undefined, wires: undefined, input, typed: [] };
    }
    case 'stud':
    case 'groundPoint': {
      const { points, problems } = typedPoints(draft.points, FIRST_POINT[draft.kind]);
      const input = { kind: draft.kind, ...head, points: [...points] };
      return { panel: undefined, wires: undefined, input, typed: problems };
    }
  }
}

/** What is said of the wires as a whole; nothing where nothing was typed. */
function harnessOf({ kind, keying, harness }: PlaceDraft) {
  return {
    ...(harness.trim() === '' ? {} : { harness: harness.trim() }),
    ...(kind !== 'connector' || keying.trim() === '' ? {} : { keying: keying.trim() }),
  };
}

function wiresOf(kind: 'connector' | 'loom' | 'socketOutlet', { wires }: TypedWires) {
  return kind === 'connector'
    ? { kind, wires: [...wires] }
    : { kind, wires: wires.map(({ row: _row, column: _column, ...wire }) => wire) };
}

function headOf(draft: PlaceDraft, stored: PlaceView | undefined) {
  const { base, zone, side } = draft;
  const seconds = draft.seconds.trim();
  return {
    base,
    name: draft.name.trim(),
    location: draft.location.trim(),
    ...(zone === undefined ? {} : { zone }),
    ...(side === undefined ? {} : { side }),
    steps: listed(draft.steps, /\n/),
    // No field asks for these; what was there stays.
    fasteners: [...(stored?.reach.fasteners ?? [])],
    tools: listed(draft.tools, /,/),
    ...(seconds === '' ? {} : { seconds: Number(seconds) }),
    notes: draft.notes.trim(),
  };
}

function listed(text: string, mark: RegExp): string[] {
  return text
    .split(mark)
    .map((one) => one.trim())
    .filter((one) => one !== '');
}

/** The note that some ratings were hard to read. */
const DOUBTS = /\s*Ratings that were hard to read: [^.]*\./;

function withDoubts(notes: string, doubtful: readonly string[]): string {
  const plain = notes.replace(DOUBTS, '').trim();
  if (doubtful.length === 0) return plain;
  return `${plain} Ratings that were hard to read: ${doubtful.join(', ')}.`.trim();
}

function storedLooks(stored: PlaceView | undefined): ReadonlyMap<string, SlotLook> {
  const input = stored === undefined ? undefined : inputOf(stored);
  if (input?.kind !== 'fusePanel') return new Map();
  return new Map(input.slots.map(({ position, look }) => [position, look ?? input.look]));
}
