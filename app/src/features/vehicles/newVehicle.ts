import type { FieldProblem } from '@lucky-thread/contract';
import { ModelInput, PanelInput, validate } from '@lucky-thread/contract';
import type { SteeringSide } from '@lucky-thread/contract';
import type { Corner, FuseFamily, Panel, Slot, TypedPanel } from '@lucky-thread/core/vehicle';
import { typedPanel } from '@lucky-thread/core/vehicle';

/** A fuse panel as it is being typed. */
export interface PanelDraft {
  readonly name: string;
  readonly location: string;
  readonly family: FuseFamily;
  readonly lie: Slot['lie'];
  readonly landmarkA: string;
  readonly landmarkB: string;
  /** Its lid, a line per row. */
  readonly text: string;
  readonly prefix: string;
  readonly first: string;
  readonly from: Corner;
  readonly along: 'rows' | 'columns';
}

/** A vehicle as it is being typed. */
export interface VehicleDraft {
  readonly make: string;
  readonly model: string;
  readonly generation: string;
  readonly yearFrom: string;
  readonly yearTo: string;
  readonly steering: SteeringSide;
  readonly keyType: 'key' | 'push button';
  readonly panel: PanelDraft;
}

/** A draft with nothing but what is usual. */
export const EMPTY_VEHICLE: VehicleDraft = {
  make: '',
  model: '',
  generation: '',
  yearFrom: '',
  yearTo: '',
  steering: 'left',
  keyType: 'key',
  panel: {
    name: 'Dash panel',
    location: '',
    family: 'mini',
    lie: 'tall',
    landmarkA: 'upper contact',
    landmarkB: 'lower contact',
    text: '',
    prefix: 'F',
    first: '1',
    from: 'upper left',
    along: 'rows',
  },
};

/** What contacts are called by how the slots lie, until somebody names a landmark. */
export const LANDMARKS: Record<Slot['lie'], readonly [string, string]> = {
  tall: ['upper contact', 'lower contact'],
  wide: ['door-side contact', 'inner contact'],
};

/** A place's id from its name: a short word that stands before every position. */
export function placeId(name: string): string {
  const word = name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 20)
    .replace(/-+$/, '');
  return word === '' || word === 'harness' ? 'panel' : word;
}

/** The panel as far as what was typed can be read. */
export function readPanel(draft: PanelDraft): TypedPanel {
  const { family, lie, landmarkA, landmarkB, prefix, from, along } = draft;
  const first = Number(draft.first);
  return typedPanel(draft.text, {
    id: placeId(draft.name),
    family,
    lie,
    landmarks: [landmarkA, landmarkB],
    clearance: 'clear',
    numbering: { prefix, first: Number.isInteger(first) && first >= 0 ? first : 1, from, along },
  });
}

/** The panel as a map, as it will be shown while probing. */
export function panelMap(draft: PanelDraft, read: TypedPanel): Panel {
  const { columns, rows, slots } = read;
  const { name, location } = draft;
  return { id: placeId(name), name, location, access: [], columns, rows, slots };
}

/** What a draft is sent as, or what is still wrong with it. */
export type VehicleRequests =
  | {
      readonly ok: true;
      readonly model: ModelInput;
      readonly panelId: string;
      readonly panel: PanelInput;
    }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] };

/** What a draft is sent as. */
export function vehicleRequests(draft: VehicleDraft): VehicleRequests {
  const model = modelOf(draft);
  const read = readPanel(draft.panel);
  const panel = panelOf(draft.panel, read);
  const [checkedModel, checkedPanel] = [validate(ModelInput, model), validate(PanelInput, panel)];
  const problems = [
    ...(checkedModel.ok ? [] : checkedModel.problems.map(spokenYear(model))),
    ...(model.yearTo < model.yearFrom
      ? [{ path: 'yearTo', message: 'the last year lies before the first' }]
      : []),
    ...read.problems.map(({ row, cell, message }) => ({
      path: 'text',
      message: `row ${row}, cell ${cell}: ${message}`,
    })),
    ...(checkedPanel.ok ? [] : checkedPanel.problems),
  ];
  return problems.length > 0
    ? { ok: false, problems }
    : { ok: true, model, panelId: placeId(draft.panel.name), panel };
}

/** What is no number is not told that it is too late a year. */
function spokenYear(model: ModelInput): (problem: FieldProblem) => FieldProblem {
  return (problem) =>
    (problem.path === 'yearFrom' || problem.path === 'yearTo') && Number.isNaN(model[problem.path])
      ? { ...problem, message: 'give the model year in four figures' }
      : problem;
}

function modelOf(draft: VehicleDraft): ModelInput {
  const yearFrom = yearIn(draft.yearFrom);
  return {
    make: draft.make.trim(),
    model: draft.model.trim(),
    generation: draft.generation.trim(),
    yearFrom,
    yearTo: draft.yearTo.trim() === '' ? yearFrom : yearIn(draft.yearTo),
    trims: [],
    markets: [],
    steering: [draft.steering],
    keyType: draft.keyType,
    use: '',
  };
}

function yearIn(text: string): number {
  return text.trim() === '' ? Number.NaN : Number(text);
}

function panelOf(draft: PanelDraft, read: TypedPanel): PanelInput {
  const { family, lie, landmarkA, landmarkB } = draft;
  return {
    name: draft.name.trim(),
    location: draft.location.trim(),
    steps: [],
    notes:
      read.doubtful.length === 0
        ? ''
        : `Ratings that were hard to read: ${read.doubtful.join(', ')}.`,
    look: { family, lie, landmarkA, landmarkB, clearance: 'clear' },
    slots: read.slots.map(({ position, legend, ratingA, column, row }) => ({
      position,
      column,
      row,
      ...(legend === undefined ? {} : { legend }),
      ...(ratingA === undefined ? {} : { ratingA }),
    })),
  };
}
