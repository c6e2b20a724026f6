import path from 'node:path';
import { fileURLToPath } from 'node:url';
import type { LineReader, ReadCardCell } from '@lucky-thread/core/card';
import {
  CARD_SIGNS,
  even,
  fileOf,
  folded,
  gridOf,
  guessGrid,
  guessLayout,
  readCard,
  straighten,
} from '@lucky-thread/core/card';
import { PSM, createWorker } from 'tesseract.js';
import type { CardSpec, PrintedCell } from './cardSpecs';
import { cardSpec } from './cardSpecs';
import { photograph } from './photograph';
import { renderCard } from './renderCard';

const DATA = fileURLToPath(
  new URL('../../../node_modules/@tesseract.js-data/eng/4.0.0_best_int', import.meta.url),
);

/** Cards that grade the reading. Those of seeds 1 to 40 tuned it; 7001 to 7044 and 9001 to 9044 graded it before it was mended. */
const GRADING_SEEDS = seedsFrom(11_001, 44);

function seedsFrom(first: number, count: number): number[] {
  return Array.from({ length: count }, (_, at) => first + at);
}

/** A line reader as the app has it, here without a browser. */
export async function lineReader(): Promise<{
  readonly read: LineReader;
  readonly end: () => Promise<unknown>;
}> {
  const worker = await createWorker('eng', 1, { langPath: DATA, gzip: true, cacheMethod: 'none' });
  await worker.setParameters({
    tessedit_pageseg_mode: PSM.SINGLE_LINE,
    tessedit_char_whitelist: CARD_SIGNS,
  });
  return {
    read: async (line) => {
      const { data } = await worker.recognize(Buffer.from(fileOf(line)));
      return { text: data.text.trim(), confidence: data.confidence };
    },
    end: () => worker.terminate(),
  };
}

/** How a card came out. */
export interface CardResult {
  readonly cells: number;
  readonly wrong: readonly {
    readonly cell: PrintedCell;
    readonly read: ReadCardCell | undefined;
  }[];
  readonly doubtful: number;
  readonly wrongUnseen: number;
  readonly gridGuessed: boolean;
  readonly seconds: number;
}

/** Photographs and reads one card; where the grid is guessed wrongly the user sets rows and columns, as in the app. */
export async function readSpec(spec: CardSpec, read: LineReader): Promise<CardResult> {
  const { picture, corners } = photograph(await renderCard(spec), spec.seed);
  const began = performance.now();
  const card = even(straighten(picture, corners));
  const guessed = guessGrid(card);
  const perFuse = spec.layout === 'boxes' ? 1 : 3;
  const { layout } = spec;
  const counts = {
    rows: spec.rows.length,
    columns: (spec.rows[0]?.length ?? 0) * perFuse,
    layout,
  };
  const gridGuessed =
    guessed.rows.length === counts.rows + 1 &&
    guessed.columns.length === counts.columns + 1 &&
    guessLayout(guessed) === spec.layout;
  const cells =
    (await readCard(card, gridOf(card, guessed, counts), {
      family: 'mini',
      layout: spec.layout,
      met: [],
      read,
      onProgress: () => true,
    })) ?? [];
  const seconds = (performance.now() - began) / 1000;
  const all = spec.rows.flatMap((row, at) =>
    row.map((cell, column) => ({
      cell,
      read: cells.find((one) => one.row === at && one.column === column),
    })),
  );
  const wrong = all.filter(({ cell, read: found }) => !isRight(cell, found));
  return {
    cells: all.length,
    wrong,
    doubtful: all.filter(({ read: found }) => (found?.doubts.length ?? 1) > 0).length,
    wrongUnseen: wrong.filter(({ read: found }) => found?.doubts.length === 0).length,
    gridGuessed,
    seconds,
  };
}

/** The same rating, and the same legend but for marks, blanks and dots over letters. */
function isRight(cell: PrintedCell, read: ReadCardCell | undefined): boolean {
  return (
    read !== undefined &&
    read.ratingA === cell.ratingA &&
    folded(read.legend ?? '') === folded(cell.legend ?? '')
  );
}

/** Reads rendered cards from photographs of them, and says how many cells are right and how many wrong ones unmarked. */
export async function cardsBenchmark(seeds: readonly number[] = GRADING_SEEDS): Promise<void> {
  const { read, end } = await lineReader();
  const results: CardResult[] = [];
  for (const seed of seeds) results.push(await readSpec(cardSpec(seed), read));
  await end();
  const sum = (of: (one: CardResult) => number): number =>
    results.reduce((all, one) => all + of(one), 0);
  const cells = sum((one) => one.cells);
  const wrong = sum((one) => one.wrong.length);
  const unseen = sum((one) => one.wrongUnseen);
  console.log(
    `Legend cards, ${path.basename(DATA)}: ${seeds.length} cards, seeds ${seeds[0]}–${seeds.at(-1)}, ${cells} cells`,
  );
  console.log(`  right after snapping ${percent(cells - wrong, cells)} (must 95 %)`);
  console.log(
    `  wrong ones marked doubtful ${percent(wrong - unseen, Math.max(1, wrong))} of ${wrong} (must 98 %)`,
  );
  console.log(
    `  marked doubtful of all ${percent(
      sum((one) => one.doubtful),
      cells,
    )}`,
  );
  console.log(
    `  grid guessed on ${percent(results.filter((one) => one.gridGuessed).length, results.length)} of cards`,
  );
  console.log(
    `  seconds a card, straightening and reading: ${(sum((one) => one.seconds) / results.length).toFixed(1)}`,
  );
}

function percent(part: number, of: number): string {
  return `${((100 * part) / of).toFixed(1)} %`;
}
