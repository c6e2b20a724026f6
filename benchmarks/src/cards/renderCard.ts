import { execFile } from 'node:child_process';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import type { Gray } from '@lucky-thread/core/card';
import { grayOf } from '@lucky-thread/core/card';
import { PNG } from 'pngjs';
import type { CardSpec, PrintedCell } from './cardSpecs';

const run = promisify(execFile);
const MODULES = fileURLToPath(new URL('../../../node_modules/', import.meta.url));
const FACES = {
  'Card Condensed': 'barlow-condensed/600SemiBold/BarlowCondensed_600SemiBold.ttf',
  'Card Legible': 'atkinson-hyperlegible/400Regular/AtkinsonHyperlegible_400Regular.ttf',
} as const;
/** Size of a card, px: as a phone sees one that fills its picture. */
const WIDTH = 1400;
const HEIGHT = 900;

/** A card drawn by the browser, straight on and clean, filling the whole picture. */
export async function renderCard(spec: CardSpec): Promise<Gray> {
  const folder = await mkdtemp(path.join(os.tmpdir(), 'lucky-thread-card-'));
  try {
    const page = path.join(folder, 'card.html');
    const picture = path.join(folder, 'card.png');
    await writeFile(page, await htmlOf(spec));
    await run('/usr/bin/chromium', [
      '--headless=new',
      '--no-sandbox',
      '--disable-gpu',
      '--hide-scrollbars',
      `--user-data-dir=${folder}/profile`,
      `--window-size=${WIDTH},${HEIGHT}`,
      `--screenshot=${picture}`,
      `file://${page}`,
    ]);
    const { width, height, data } = PNG.sync.read(await readFile(picture));
    return grayOf(new Uint8ClampedArray(data), width, height);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

async function htmlOf(spec: CardSpec): Promise<string> {
  const faces = await Promise.all(
    Object.entries(FACES).map(async ([name, file]) => {
      const bytes = await readFile(path.join(MODULES, '@expo-google-fonts', file));
      return `@font-face { font-family: '${name}'; src: url(data:font/ttf;base64,${bytes.toString('base64')}); }`;
    }),
  );
  const [ink, paper] = spec.inverse ? ['#eee', '#222'] : ['#1a1a1a', '#f5f3ee'];
  const line = spec.ruled ? `2px solid ${ink}` : 'none';
  const size = spec.layout === 'boxes' ? 30 : 26;
  const body = spec.layout === 'boxes' ? boxesOf(spec) : listOf(spec);
  return `<!doctype html><meta charset="utf-8"><style>${faces.join('')}
    html, body { margin: 0; background: ${paper}; color: ${ink}; }
    table { border-collapse: collapse; width: ${WIDTH}px; height: ${HEIGHT}px; table-layout: ${spec.layout === 'boxes' ? 'fixed' : 'auto'}; }
    td { border: ${line}; font: ${size}px '${spec.font}', sans-serif; padding: 4px 10px; text-align: ${spec.layout === 'boxes' ? 'center' : 'left'};
      white-space: ${spec.layout === 'boxes' ? 'normal' : 'nowrap'}; line-height: 1.35; }
    td.number, td.rating { width: 90px; }
    </style><table>${body}</table>`;
}

/** Letters that fit into a box at full size; longer words are printed smaller, as makers do. */
const FITTING = 13;

function boxesOf({ rows, numbered, lines }: CardSpec): string {
  const text = ({ position, ratingA, legend }: PrintedCell): string => {
    if (ratingA === undefined) return numbered ? position : '';
    const rating = `${numbered ? `${position} ` : ''}${ratingA}A`;
    return lines === 2 ? `${rating}<br>${escaped(legend)}` : `${rating} ${escaped(legend)}`;
  };
  return rows
    .map((row) => `<tr>${row.map((cell) => `<td${sizeOf(cell)}>${text(cell)}</td>`).join('')}</tr>`)
    .join('');
}

function sizeOf({ legend }: PrintedCell): string {
  const longest = Math.max(0, ...(legend ?? '').split(' ').map((word) => word.length));
  return longest <= FITTING ? '' : ` style="font-size:${Math.round((30 * FITTING) / longest)}px"`;
}

function listOf({ rows }: CardSpec): string {
  const cells = ({ position, ratingA, legend }: PrintedCell): string =>
    `<td class="number">${position.slice(1)}</td><td class="rating">${ratingA === undefined ? '' : `${ratingA} A`}</td><td>${escaped(legend)}</td>`;
  return rows.map((row) => `<tr>${row.map(cells).join('')}</tr>`).join('');
}

function escaped(text: string | undefined): string {
  return (text ?? '').replaceAll('&', '&amp;').replaceAll('<', '&lt;');
}
