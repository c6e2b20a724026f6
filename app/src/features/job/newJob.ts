import type { DeviceInput, FieldProblem, ModelSummary, SteeringSide } from '@lucky-thread/contract';
import { CreateJobRequest, validate } from '@lucky-thread/contract';

/** A job as it is being typed in. */
export interface JobDraft {
  /** The chosen vehicle; undefined while none is. */
  readonly modelId: string | undefined;
  /** Model year, as it was typed. */
  readonly year: string;
  /** The year was typed: neither a VIN nor a model overwrites it. */
  readonly yearTyped: boolean;
  /** Trim of the car; empty while none is chosen. */
  readonly trim: string;
  /** Market of the car; empty while none is chosen. */
  readonly market: string;
  /** Side of the steering wheel; undefined while nobody has said it. */
  readonly steering: SteeringSide | undefined;
  /** As it was typed; may be empty. */
  readonly vin: string;
  /** Leased: nothing may stay behind. */
  readonly noTrace: boolean;
  /** The chosen device; undefined while none is. */
  readonly device: DeviceInput | undefined;
}

/** A draft with nothing in it. */
export const EMPTY_DRAFT: JobDraft = {
  modelId: undefined,
  year: '',
  yearTyped: false,
  trim: '',
  market: '',
  steering: undefined,
  vin: '',
  noTrace: false,
  device: undefined,
};

/** A draft with another model: what the model leaves no choice about is filled in. */
export function withModel(draft: JobDraft, model: ModelSummary): JobDraft {
  return {
    ...draft,
    modelId: model.id,
    // A year that was typed or read from a VIN belongs to the car; any other was a model's proposal.
    year: draft.yearTyped || draft.vin.trim() !== '' ? draft.year : String(model.yearTo),
    trim: model.trims[0] ?? '',
    market: model.markets[0] ?? '',
    steering: model.steering[0] ?? 'left',
  };
}

/** The request that a draft makes, or what is still wrong with it. */
export function jobRequest(
  draft: JobDraft,
):
  | { readonly ok: true; readonly body: CreateJobRequest }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] } {
  const { modelId, trim, market, steering, device } = draft;
  const vin = draft.vin.trim().toUpperCase();
  const plain = {
    vehicle: {
      ...(modelId === undefined ? {} : { modelId }),
      year: draft.year.trim() === '' ? undefined : Number(draft.year),
      trim,
      market,
      ...(steering === undefined ? {} : { steering }),
      ...(vin === '' ? {} : { vin }),
      ...(draft.noTrace ? { noTrace: true } : {}),
    },
    device,
  };
  const result = validate(CreateJobRequest, plain);
  return result.ok ? { ok: true, body: plain as CreateJobRequest } : result;
}

/** What is still missing or wrong, in words. */
export function spokenProblems(problems: readonly FieldProblem[]): string[] {
  // Without a vehicle nothing can be said of its year or its wheel.
  const isChosen = problems.every(({ path }) => path !== 'vehicle.modelId');
  const told = problems.filter(({ path }) => isChosen || !/^vehicle\.(year|steering)$/.test(path));
  return told.map(spokenProblem);
}

/** A missing choice in words; everything else as the rule says it. */
function spokenProblem(problem: FieldProblem): string {
  if (problem.path === 'vehicle.modelId') return 'choose the vehicle';
  if (problem.path === 'vehicle.steering') return 'say on which side the wheel is';
  if (problem.path === 'device') return 'choose the device';
  return problem.message;
}
