import { even } from './even';
import type { Gray } from './gray';
import { beside, cut, fileOf, grayOf } from './gray';
import { cellBoxes, gridOf, guessGrid } from './grid';
import { guessLayout } from './layout';
import { printedLines } from './lines';
import type { ReadLine } from './readCell';
import { readCard } from './readCard';

/** A picture to draw on. */
function paper(width: number, height: number, shade = 255): Gray {
  return { width, height, pixels: new Uint8ClampedArray(width * height).fill(shade) };
}

function fill(on: Gray, left: number, top: number, width: number, height: number, shade = 0): void {
  for (let y = top; y < top + height; y += 1)
    on.pixels.fill(shade, y * on.width + left, y * on.width + left + width);
}

/** A word: uprights 3 px wide, as tall as its line. */
function word(on: Gray, left: number, top: number, letters: number, height = 14): void {
  for (let at = 0; at < letters; at += 1) fill(on, left + 8 * at, top, 3, height);
}

/** A ruled card of rows and columns with two lines of print in each cell. */
function ruledCard(rows: number, columns: number, lineShade = 0): Gray {
  const card = paper(columns * 120 + 4, rows * 80 + 4);
  for (let row = 0; row <= rows; row += 1) fill(card, 0, row * 80, card.width, 3, lineShade);
  for (let column = 0; column <= columns; column += 1)
    fill(card, column * 120, 0, 3, card.height, lineShade);
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      word(card, column * 120 + 40, row * 80 + 18, 3);
      word(card, column * 120 + 30, row * 80 + 46, 6);
    }
  return card;
}

describe('a picture in grey', () => {
  it('weighs colours as the eye does, and is a file that says its size', () => {
    const rgba = Uint8ClampedArray.of(
      255,
      0,
      0,
      255,
      0,
      255,
      0,
      255,
      0,
      0,
      255,
      255,
      255,
      255,
      255,
      255,
    );
    // ITU-R BT.601.
    expect([...grayOf(rgba, 2, 2).pixels]).toEqual([76, 150, 29, 255]);
    const file = fileOf({ width: 2, height: 1, pixels: Uint8ClampedArray.of(7, 9) });
    expect(new TextDecoder().decode(file.slice(0, 11))).toBe('P5\n2 1\n255\n');
    expect([...file.slice(11)]).toEqual([7, 9]);
  });

  it('is cut to a size, and set beside others on one line', () => {
    const card = paper(40, 20);
    fill(card, 10, 5, 10, 10);
    const part = cut(card, { left: 10, top: 5, right: 20, bottom: 15 }, 2);
    expect([part.width, part.height]).toEqual([20, 20]);
    expect([...part.pixels].filter((shade) => shade < 128).length).toBeGreaterThan(340);
    const both = beside([part, paper(5, 8, 0)], 4, 3);
    expect([both.width, both.height]).toEqual([20 + 4 + 5 + 6, 26]);
    // The smaller stands on the line of the larger one.
    expect(both.pixels[22 * both.width + 27]).toBe(0);
    expect(both.pixels[5 * both.width + 27]).toBe(255);
  });
});

describe('a card in uneven light', () => {
  const lit = (card: Gray): Gray => ({
    ...card,
    pixels: card.pixels.map((shade, at) => {
      const across = (at % card.width) / card.width;
      return (0.35 + 0.6 * across) * (60 + 0.7 * shade);
    }),
  });
  const inkOf = (card: Gray): number =>
    [...card.pixels].filter((shade) => shade < 128).length / card.pixels.length;

  it('has its paper white and its ink black all over, white print on black too', () => {
    const clean = ruledCard(3, 4);
    const turned = { ...clean, pixels: clean.pixels.map((shade) => 255 - shade) };
    for (const card of [lit(clean), lit(turned)]) {
      const straight = even(card);
      expect(inkOf(straight)).toBeCloseTo(inkOf(clean), 1);
      const wrong = [...straight.pixels].filter(
        (shade, at) => shade < 128 !== (clean.pixels[at] ?? 0) < 128,
      );
      expect(wrong.length / straight.pixels.length).toBeLessThan(0.03);
    }
  });
});

describe('the rows and columns of a card', () => {
  it.each([
    [4, 6],
    [2, 3],
    [1, 5],
    [12, 2],
  ])('are guessed along its ruled lines: %d by %d', (rows, columns) => {
    const grid = guessGrid(ruledCard(rows, columns));
    expect([grid.rows.length - 1, grid.columns.length - 1]).toEqual([rows, columns]);
    expect(guessLayout(grid)).toBe('boxes');
  });

  it('are guessed between its texts where nothing is ruled, and set by hand where that fails', () => {
    const card = ruledCard(3, 4, 255);
    const grid = guessGrid(card);
    expect(grid.columns.length - 1).toBe(4);
    // What is set is cut through the widest blanks, and evenly where there are none.
    expect(
      gridOf(card, { rows: [0, 9], columns: [0, 9] }, { rows: 1, columns: 4, layout: 'list' })
        .columns,
    ).toEqual(grid.columns);
    const blank = paper(50, 50);
    const set = gridOf(blank, guessGrid(blank), { rows: 2, columns: 5, layout: 'list' });
    expect(set).toEqual({ rows: [0, 25, 50], columns: [0, 10, 20, 30, 40, 50] });
    expect(guessGrid(paper(50, 50))).toEqual({ rows: [0, 50], columns: [0, 50] });
  });

  it('are those of a list where columns are unlike', () => {
    expect(guessLayout({ rows: [0, 9], columns: [0, 40, 90, 400] })).toBe('list');
  });
});

describe('the lines of print in a cell', () => {
  it('are found one by one, cut close, without what is left of ruled lines', () => {
    const card = ruledCard(2, 2);
    const [box] = cellBoxes(guessGrid(card)).flat();
    if (box === undefined) throw new Error('no cell');
    const lines = printedLines(card, { ...box, left: 1, top: 1 });
    expect(lines).toHaveLength(2);
    expect(lines[0]).toEqual({ left: 40, top: 18, right: 40 + 8 * 2 + 3, bottom: 32 });
    expect(lines[1]).toMatchObject({ top: 46, bottom: 60 });
  });

  it('keep the dots over their letters, and are none on blank paper', () => {
    const card = paper(100, 60);
    word(card, 20, 24, 5, 20);
    fill(card, 28, 18, 3, 3);
    const whole = { left: 0, top: 0, right: 100, bottom: 60 };
    expect(printedLines(card, whole)).toMatchObject([{ top: 18, bottom: 44 }]);
    expect(printedLines(paper(100, 60), whole)).toEqual([]);
  });
});

/** Reads nothing from pictures: says in turn what is in a list, line by line, then each fuse twice as a whole. */
function says(cells: readonly (readonly string[])[], confidence = 95) {
  const alone = cells.flat();
  const together = cells.flatMap((lines) => [lines.join(' '), lines.join(' ')]);
  const texts = [...alone, ...together];
  let at = 0;
  return async (): Promise<ReadLine> => {
    at += 1;
    return { text: texts[at - 1] ?? '', confidence };
  };
}

describe('a card', () => {
  const given = { family: 'mini', layout: 'boxes', met: [] } as const;
  const goOn = () => true;

  it('is read fuse by fuse, with its numbers, and blank cells stay blank', async () => {
    const card = ruledCard(2, 2);
    fill(card, 125, 85, 110, 70, 255);
    const read = says([
      ['F1 10A', 'ACC'],
      ['F2 15A', 'CIG'],
      ['F3 7.5A', 'RADIO'],
    ]);
    const cells = await readCard(card, guessGrid(card), { ...given, read, onProgress: goOn });
    expect(cells?.map(({ position, ratingA, legend }) => [position, ratingA, legend])).toEqual([
      ['F1', 10, 'ACC'],
      ['F2', 15, 'CIG'],
      ['F3', 7.5, 'RADIO'],
      [undefined, undefined, undefined],
    ]);
    expect(cells?.map((cell) => cell.doubts)).toEqual([[], [], [], []]);
  });

  it('is in doubt where its readings differ, and says as what else it was read', async () => {
    const card = ruledCard(1, 1);
    const texts = ['10A', 'ACC', '10A ACC', '15A ACC'];
    const read = async () => ({ text: texts.shift() ?? '', confidence: 95 });
    const cells = await readCard(card, guessGrid(card), { ...given, read, onProgress: goOn });
    expect(cells?.[0]).toMatchObject({ ratingA: 10, legend: 'ACC' });
    expect(cells?.[0]?.doubts).toEqual(['also read as 15 A ACC']);
  });

  it('says what most of its readings say, whichever comes first', async () => {
    const card = ruledCard(1, 1);
    const texts = ['15A', 'CIG', '10A CIG', '10A ACC'];
    const read = async () => ({ text: texts.shift() ?? '', confidence: 95 });
    const cells = await readCard(card, guessGrid(card), { ...given, read, onProgress: goOn });
    expect(cells?.[0]).toMatchObject({ ratingA: 10, legend: 'CIG' });
    expect(cells?.[0]?.doubts).toEqual(['also read as 15 A CIG', 'also read as 10 A ACC']);
  });

  it('is in doubt where the reading is not sure of itself', async () => {
    const card = ruledCard(1, 1);
    const read = says([['10A', 'ACC']], 40);
    const cells = await readCard(card, guessGrid(card), { ...given, read, onProgress: goOn });
    expect(cells?.[0]?.doubts).toContain('hard to read');
  });

  it('tells how far it is, and stops when it is told to', async () => {
    const card = ruledCard(2, 2);
    const told: number[] = [];
    const whole = says(Array.from({ length: 4 }, () => ['10A', 'ACC']));
    await readCard(card, guessGrid(card), {
      ...given,
      read: whole,
      onProgress: (done, of) => told.push(done / of) > 0,
    });
    expect(told).toEqual([...told].sort((left, right) => left - right));
    expect(told.at(-1)).toBe(1);
    const stopped = await readCard(card, guessGrid(card), {
      ...given,
      read: says([['10A', 'ACC']]),
      onProgress: () => false,
    });
    expect(stopped).toBeUndefined();
  });

  it('of a list has its rating and its legend in columns of their own, in any order', async () => {
    const card = paper(604, 244);
    for (const at of [0, 60, 120, 180, 240]) fill(card, 0, at, 604, 3);
    for (const at of [0, 80, 180, 600]) fill(card, at, 0, 3, 244);
    const rows = [
      ['1', '10 A', 'ACC'],
      ['2', '15 A', 'KLEMME 15'],
      ['3', '7.5 A', 'RADIO'],
      ['4', '5 A', 'CLOCK'],
    ];
    for (const at of [0, 1, 2, 3]) {
      word(card, 20, 60 * at + 22, 1);
      word(card, 100, 60 * at + 22, 3);
      word(card, 220, 60 * at + 22, 9);
    }
    const texts = [
      ...rows.flat(),
      ...rows.flatMap(([, ...fuse]) => [fuse.join(' '), fuse.join(' ')]),
    ];
    const read = async () => ({ text: texts.shift() ?? '', confidence: 95 });
    const grid = guessGrid(card);
    const cells = await readCard(card, grid, { ...given, layout: 'list', read, onProgress: goOn });
    expect(cells?.map(({ position, ratingA, legend }) => [position, ratingA, legend])).toEqual([
      ['1', 10, 'ACC'],
      ['2', 15, 'KLEMME 15'],
      ['3', 7.5, 'RADIO'],
      ['4', 5, 'CLOCK'],
    ]);
  });
});
