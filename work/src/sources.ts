import type { HarnessWireInput, ModelView } from '@lucky-thread/contract';
import type { Panel, SlotSource, Source } from '@lucky-thread/core/vehicle';
import { panelsIn } from '@lucky-thread/core/vehicle';

type Placed = Pick<ModelView, 'places'>;

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

/** The wires of a model's looms as a job lays them out; empty where none is known. */
export function bunchOf({ places }: Placed): HarnessWireInput[] {
  return places.flatMap((place) =>
    place.kind !== 'loom'
      ? []
      : place.sources.flatMap((source): HarnessWireInput[] =>
          source.kind !== 'wire'
            ? []
            : [
                {
                  id: source.id,
                  name: source.name,
                  ...(source.colour === undefined ? {} : { colour: source.colour }),
                  ...(source.tapedWith === undefined ? {} : { tapedWith: source.tapedWith }),
                },
              ],
        ),
  );
}
