import type { FieldProblem, PlaceInput, SteeringSide } from '@lucky-thread/contract';
import { ModelInput, validate } from '@lucky-thread/contract';
import type { PlaceDraft } from './drafts/placeDraft';
import { emptyPlace, readPlace } from './drafts/placeDraft';

/** A vehicle as it is being typed. */
export interface VehicleDraft {
  readonly make: string;
  readonly model: string;
  readonly generation: string;
  readonly yearFrom: string;
  readonly yearTo: string;
  readonly steering: SteeringSide;
  readonly keyType: 'key' | 'push button';
  /** Its first fuse panel; one without a place and a lid is entered later, slot by slot. */
  readonly panel: PlaceDraft;
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
  panel: emptyPlace('fusePanel'),
};

/** What a draft is sent as, or what is still wrong with it. */
export type VehicleRequests =
  | {
      readonly ok: true;
      readonly model: ModelInput;
      /** Undefined where the slots are entered as one comes upon them. */
      readonly panel: { readonly id: string; readonly input: PlaceInput } | undefined;
    }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] };

/** Whether nobody has typed anything of the panel yet. */
export function isPanelLeft({ panel }: Pick<VehicleDraft, 'panel'>): boolean {
  return panel.location.trim() === '' && panel.panel.text.trim() === '';
}

/** What a draft is sent as. */
export function vehicleRequests(draft: VehicleDraft): VehicleRequests {
  const model = modelOf(draft);
  const checked = validate(ModelInput, model);
  const panel = isPanelLeft(draft) ? undefined : readPlace(draft.panel, []);
  const problems = [
    ...(checked.ok ? [] : checked.problems.map(spokenYear(model))),
    ...(model.yearTo < model.yearFrom
      ? [{ path: 'yearTo', message: 'the last year lies before the first' }]
      : []),
    ...(panel?.problems ?? []),
  ];
  if (problems.length > 0) return { ok: false, problems };
  return { ok: true, model, panel };
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
