import type { HarnessWireInput, JobView, TapPointView } from '@lucky-thread/contract';
import type { Loom } from '@lucky-thread/core/choose';
import type {
  Conductor,
  Joinable,
  Panel,
  Place,
  SlotSource,
  Source,
} from '@lucky-thread/core/vehicle';
import { isConductor, isJoinable, panelsIn } from '@lucky-thread/core/vehicle';

/** A model by its places. */
export interface Placed {
  /** With their sources. */
  readonly places: readonly Place[];
}

/** Place that a job's own wires lie in, as their ids begin. */
export const BUNCH_PLACE = 'harness';
/** What it is called where the model does not know it. */
const BUNCH_NAME = 'Bunch of wires';

/** All sources of a model, place by place. */
export function sourcesOf({ places }: Placed): Source[] {
  return places.flatMap((place) => place.sources);
}

/** All slots of a model, panel by panel. */
export function slotsOf(model: Placed): SlotSource[] {
  return sourcesOf(model).filter((source) => source.kind === 'slot');
}

/** The fuse panels of a model as maps of their slots. */
export function panelsOf({ places }: Placed): Panel[] {
  return panelsIn(places);
}

/** The wires of a place as a job lays them open. */
export function wiresAt({ sources }: Pick<Place, 'sources'>): HarnessWireInput[] {
  return sources.filter(isConductor).map(({ id, name, colour, seenColour, tapedWith }) => {
    const seen = seenColour ?? colour;
    return {
      id,
      name,
      ...(seen === undefined ? {} : { colour: seen }),
      ...(tapedWith === undefined ? {} : { tapedWith }),
    };
  });
}

/** Connectors and looms of the model that nobody has laid open on this job. */
export function closedPlaces({ job, model }: Omit<SourcesOf, 'taps'>): Place[] {
  const open = new Set(job.harness.map((wire) => wire.id));
  return model.places.filter(({ sources }) => {
    const wires = sources.filter(isConductor);
    return wires.length > 0 && !wires.some((wire) => open.has(wire.id));
  });
}

/** Bunches that a job can search wire by wire: the model's looms and connectors, and wires that only the job knows. */
export function bunchesOf({ job, model }: Omit<SourcesOf, 'taps'>): {
  readonly id: string;
  readonly name: string;
}[] {
  const known = model.places.filter(({ sources }) => sources.some(isConductor));
  const hasOwn = known.some((place) => place.id === BUNCH_PLACE);
  // What the job laid open comes first.
  const open = new Set(job.harness.map((wire) => placeIdOf(wire.id)));
  const all = [...known, ...(hasOwn ? [] : [{ id: BUNCH_PLACE, name: BUNCH_NAME }])];
  return [...all.filter(({ id }) => open.has(id)), ...all.filter(({ id }) => !open.has(id))].map(
    ({ id, name }) => ({ id, name }),
  );
}

/** The place that a source lies in, by its id. */
export function placeIdOf(sourceId: string): string {
  return sourceId.split('/')[0] ?? '';
}

/** A wire of the job as a source: what the model knows of it, and what was seen here over that. */
function wireOf(wire: HarnessWireInput, known: Source | undefined): Conductor {
  const base: Conductor =
    known !== undefined && isConductor(known)
      ? known
      : { kind: 'wire', id: wire.id, name: wire.name };
  return {
    ...base,
    name: wire.name,
    ...(wire.colour === undefined || wire.colour === base.colour
      ? {}
      : base.colour === undefined
        ? { colour: wire.colour }
        : { seenColour: wire.colour }),
    ...(wire.tapedWith === undefined ? {} : { tapedWith: wire.tapedWith }),
  };
}

/** Wires with their mates named on both: a wire that another is taped with is taped itself. */
function paired(wires: readonly HarnessWireInput[]): HarnessWireInput[] {
  const mates = new Map(
    wires.flatMap(({ id, tapedWith }) => (tapedWith === undefined ? [] : [[tapedWith, id]])),
  );
  return wires.map((wire) => {
    const tapedWith = wire.tapedWith ?? mates.get(wire.id);
    return tapedWith === undefined ? wire : { ...wire, tapedWith };
  });
}

/** A source where it sits. */
export interface PlacedSource {
  /** The source. */
  readonly source: Source;
  /** Where it is. */
  readonly place: Pick<Place, 'id' | 'name' | 'reach'>;
}

/** What a job works on. */
export interface SourcesOf {
  /** The job, as far as its wires go. */
  readonly job: Pick<JobView, 'harness'>;
  /** The places of its car. */
  readonly model: Placed;
  /** Logged tap points, whose wires count although nobody has laid them open yet; none when left out. */
  readonly taps?: readonly Pick<TapPointView, 'sourceId'>[];
}

/**
 * The sources of a job: the model's slots, studs and grounds, the wires that the job has laid open, and those at which a
 * tap point was logged. A loom that nobody has opened is not searched wire by wire.
 */
export function jobSourcesOf({ job, model, taps = [] }: SourcesOf): PlacedSource[] {
  const open = new Map(paired(job.harness).map((wire) => [wire.id, wire]));
  const logged = new Set(taps.map((tap) => tap.sourceId));
  const placed = model.places.flatMap((place) =>
    place.sources.flatMap((source): PlacedSource[] => {
      const wire = open.get(source.id);
      if (wire !== undefined) return [{ source: wireOf(wire, source), place }];
      return isConductor(source) && !logged.has(source.id) ? [] : [{ source, place }];
    }),
  );
  const known = new Set(placed.map(({ source }) => source.id));
  const place = model.places.find((one) => one.id === BUNCH_PLACE) ?? {
    id: BUNCH_PLACE,
    name: BUNCH_NAME,
    reach: { steps: [], fasteners: [], tools: [] },
  };
  const own = [...open.values()]
    .filter((wire) => !known.has(wire.id))
    .map((wire) => ({ source: wireOf(wire, undefined), place }));
  return [...placed, ...own];
}

/** The wires of a job that lie open or were logged, relay sockets and studs, by the place where they are. */
export function loomsOf(of: SourcesOf): Loom[] {
  const looms = new Map<string, Loom & { readonly wires: Joinable[] }>();
  for (const { source, place } of jobSourcesOf(of)) {
    if (!isJoinable(source)) continue;
    const loom = looms.get(place.id) ?? { id: place.id, name: place.name, wires: [] };
    loom.wires.push(source);
    looms.set(place.id, loom);
  }
  return [...looms.values()];
}
