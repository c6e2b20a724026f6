import type { CardGrid, Corners, Gray, ReadCardCell, ReadCardGiven } from '@lucky-thread/core/card';
import { proxy } from 'comlink';
import type { Cards, StraightCard } from './card.worker';
import type { LongWork } from './planner';
import { openPrintReader } from './printReader';
import { workerLine } from './workerLine';

const cards = workerLine<Cards>(() => new Worker(new URL('./card.worker.ts', import.meta.url)));

/** A card seen straight on, from where its corners lie on a picture. */
export function askStraight(picture: Gray, corners: Corners): Promise<StraightCard> {
  return cards.ask(async (remote) => remote.straightened(picture, corners));
}

/** Reads a card fuse by fuse, telling its progress from 0 to 1. */
export function askCard(
  card: Gray,
  grid: CardGrid,
  given: Pick<ReadCardGiven, 'family' | 'layout' | 'met'>,
  onProgress: (done: number) => void,
): LongWork<ReadCardCell[]> {
  let going = true;
  const tell = (done: number, of: number): boolean => {
    if (going) onProgress(done / of);
    return going;
  };
  const read = async (): Promise<ReadCardCell[] | undefined> => {
    const reader = await openPrintReader();
    try {
      // One pair of hands: within an object of its own no function goes to a worker.
      const hands = proxy({ read: reader.read, onProgress: tell });
      return await cards.ask(async (remote) => remote.read({ card, grid }, given, hands));
    } finally {
      await reader.close();
    }
  };
  return {
    result: read(),
    cancel: () => {
      going = false;
    },
  };
}
