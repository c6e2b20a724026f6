import { createRequire } from 'node:module';
import type { Paper, Sheet } from '@lucky-thread/work';
import { paperDocument } from '@lucky-thread/work';

const resolve = createRequire(import.meta.url).resolve;

function face(path: string): string {
  return resolve(`@expo-google-fonts/${path}`);
}

const TEXT = {
  normal: face('atkinson-hyperlegible/400Regular/AtkinsonHyperlegible_400Regular.ttf'),
  bold: face('atkinson-hyperlegible/700Bold/AtkinsonHyperlegible_700Bold.ttf'),
};
const STRONG = {
  normal: face('barlow-condensed/600SemiBold/BarlowCondensed_600SemiBold.ttf'),
  bold: face('barlow-condensed/700Bold/BarlowCondensed_700Bold.ttf'),
};

/** Loads what makes PDFs, with the first paper. */
async function load() {
  const { default: pdfmake } = await import('pdfmake');
  pdfmake.setFonts({ Text: TEXT, Strong: STRONG });
  // Papers name no file and no address to fetch from; should one ever, it stays shut.
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((path: string) =>
    [...Object.values(TEXT), ...Object.values(STRONG)].includes(path),
  );
  return pdfmake;
}

let loaded: ReturnType<typeof load> | undefined;

/** A paper as a PDF, in the product’s own faces. It keeps its thread busy from beginning to end. */
export async function renderPaper(paper: Paper, sheet: Sheet): Promise<Uint8Array> {
  const pdfmake = await (loaded ??= load());
  return new Uint8Array(await pdfmake.createPdf(paperDocument(paper, sheet)).getBuffer());
}
