import { createRequire } from 'node:module';
import type { Paper, Sheet } from '@lucky-thread/work';
import { paperDocument } from '@lucky-thread/work';
import pdfmake from 'pdfmake';

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
pdfmake.setFonts({ Text: TEXT, Strong: STRONG });
// Papers name no file and no address to fetch from; should one ever, it stays shut.
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path: string) =>
  [...Object.values(TEXT), ...Object.values(STRONG)].includes(path),
);

/** A paper as a PDF, in the product’s own faces. */
export async function renderPaper(paper: Paper, sheet: Sheet): Promise<Uint8Array> {
  return new Uint8Array(await pdfmake.createPdf(paperDocument(paper, sheet)).getBuffer());
}
