import type {
  CardGrid,
  CardLayout,
  Corners,
  Gray,
  LineReader,
  ReadCardCell,
  ReadCardGiven,
} from '@lucky-thread/core/card';
import { even, guessGrid, guessLayout, readCard, straighten } from '@lucky-thread/core/card';
import { expose } from 'comlink';

/** A card seen straight on, and how it is probably laid out. */
export interface StraightCard {
  /** The straightened card. */
  readonly card: Gray;
  /** The lines that were found on it. */
  readonly grid: CardGrid;
  /** How its cells seem to be arranged. */
  readonly layout: CardLayout;
}

function straightened(picture: Gray, corners: Corners): StraightCard {
  const card = even(straighten(picture, corners));
  const grid = guessGrid(card);
  return { card, grid, layout: guessLayout(grid) };
}

/** What is done for the worker outside it: it answers later what a plain function answers at once. */
export interface CardHands {
  /** Reads a line of print. */
  readonly read: LineReader;
  /** Told how far the reading is. */
  readonly onProgress: ReadCardGiven['onProgress'];
}

function read(
  { card, grid }: Pick<StraightCard, 'card' | 'grid'>,
  given: Pick<ReadCardGiven, 'family' | 'layout' | 'met'>,
  hands: CardHands,
): Promise<ReadCardCell[] | undefined> {
  return readCard(card, grid, {
    ...given,
    read: (line) => hands.read(line),
    onProgress: (done, of) => hands.onProgress(done, of),
  });
}

/** Pictures of legend cards, off the interface's thread. */
const cards = { straightened, read };
/** What the worker offers. */
export type Cards = typeof cards;

expose(cards);
