import type { PlaceView } from './place/placeInput';
import type { BodyInput } from './body';
import type { HandbookEntryView } from './handbook';
import type { SteeringSide } from './job';
import type { NoteView } from './note';
import type { PhotoView } from './photo';

/** A vehicle model as lists show it. */
export interface ModelSummary {
  /** UUIDv7. */
  readonly id: string;
  /** Make. */
  readonly make: string;
  /** Model. */
  readonly model: string;
  /** Generation or body code; empty when nobody knows. */
  readonly generation: string;
  /** First model year. */
  readonly yearFrom: number;
  /** Last model year. */
  readonly yearTo: number;
  /** Trims that it is sold in; empty for any. */
  readonly trims: readonly string[];
  /** Markets; empty for any. */
  readonly markets: readonly string[];
  /** Sides that the wheel is on. */
  readonly steering: readonly SteeringSide[];
  /** How it is started. */
  readonly keyType: 'key' | 'push button';
  /** Who drives it in the shop's round, e.g. "library bus". */
  readonly use: string;
  /** Tap points in the log, retired ones not counted. */
  readonly tapPointCount: number;
}

/** A vehicle model with its places. */
export interface ModelView extends ModelSummary {
  /** Panels, connectors, looms with their sources. */
  readonly places: readonly PlaceView[];
  /** What somebody has looked up in the handbook, by slot; the slots carry the entries too. */
  readonly handbook: readonly HandbookEntryView[];
  /** Its body, as far as somebody has said; null: not yet. */
  readonly body: BodyInput | null;
  /** What people wrote about its places and sources, oldest first. */
  readonly notes: readonly NoteView[];
  /** Photos of its places, oldest first. */
  readonly photos: readonly PhotoView[];
  /** Whether a simulated car stands behind it, so that the simulated meter can be used. */
  readonly simulated: boolean;
}

/** A source that a search came upon. */
export interface FoundSource {
  /** The model that it belongs to. */
  readonly modelId: string;
  /** Make, model and generation of its model. */
  readonly modelName: string;
  /** Its id there. */
  readonly sourceId: string;
  /** What it is called in its place. */
  readonly name: string;
  /** As printed. */
  readonly legend: string;
  /** Its place. */
  readonly placeName: string;
}

/** What a search came upon, the best first. */
export interface SearchAnswer {
  /** Models that fit. */
  readonly models: readonly ModelSummary[];
  /** Sources whose legend or name fits. */
  readonly sources: readonly FoundSource[];
}

/** Make, model and generation in one line; what nobody has said is left out. */
export function modelName(of: Pick<ModelSummary, 'make' | 'model' | 'generation'>): string {
  return [of.make, of.model, of.generation].filter((part) => part !== '').join(' ');
}

/** Who drives a model and in which years it was made, in one line. */
export function modelYears(of: Pick<ModelSummary, 'use' | 'yearFrom' | 'yearTo'>): string {
  const years = of.yearFrom === of.yearTo ? String(of.yearFrom) : `${of.yearFrom}–${of.yearTo}`;
  return of.use === '' ? years : `${of.use}, ${years}`;
}
