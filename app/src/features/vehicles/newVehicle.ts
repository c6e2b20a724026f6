import type { FieldProblem, ModelView, PlaceInput, SteeringSide } from '@lucky-thread/contract';
import { CreateModelRequest, validate } from '@lucky-thread/contract';
import type { PlaceDraft } from './drafts/placeDraft';
import { emptyPlace, readPlace } from './drafts/placeDraft';

/** A vehicle as it is being typed. */
export interface VehicleDraft {
  /** As it was typed. */
  readonly make: string;
  /** As it was typed. */
  readonly model: string;
  /** As it was typed; may be empty. */
  readonly generation: string;
  /** First year, as it was typed. */
  readonly yearFrom: string;
  /** Last year, as it was typed. */
  readonly yearTo: string;
  /** Side of the steering wheel. */
  readonly steering: SteeringSide;
  /** What it is switched on with. */
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

/** A draft of a model that is like another, but for its years or trims. */
export function likeOf(sister: ModelView): VehicleDraft {
  const { make, model, generation, keyType, steering } = sister;
  return {
    ...EMPTY_VEHICLE,
    make,
    model,
    generation,
    keyType,
    steering: steering[0] ?? EMPTY_VEHICLE.steering,
  };
}

/** What a draft is sent as, or what is still wrong with it. */
export type VehicleRequests =
  | {
      readonly ok: true;
      readonly model: CreateModelRequest;
      /** Undefined where the slots are entered as one comes upon them. */
      readonly panel: { readonly id: string; readonly input: PlaceInput } | undefined;
    }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] };

/** Whether nobody has typed anything of the panel yet. */
export function isPanelLeft({ panel }: Pick<VehicleDraft, 'panel'>): boolean {
  return panel.location.trim() === '' && panel.panel.text.trim() === '';
}

/**
 * What a draft is sent as.
 *
 * @param like id of a model that it is like, whose places it has
 */
export function vehicleRequests(draft: VehicleDraft, like?: string): VehicleRequests {
  const model = { ...modelOf(draft), ...(like === undefined ? {} : { like }) };
  const checked = validate(CreateModelRequest, model);
  // Its places are those of the other.
  const panel = isPanelLeft(draft) || like !== undefined ? undefined : readPlace(draft.panel, []);
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
function spokenYear(model: CreateModelRequest): (problem: FieldProblem) => FieldProblem {
  return (problem) =>
    (problem.path === 'yearFrom' || problem.path === 'yearTo') && Number.isNaN(model[problem.path])
      ? { ...problem, message: 'give the model year in four figures' }
      : problem;
}

function modelOf(draft: VehicleDraft): CreateModelRequest {
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
