import { AtkinsonHyperlegible_400Regular } from '@expo-google-fonts/atkinson-hyperlegible/400Regular';
import { AtkinsonHyperlegible_700Bold } from '@expo-google-fonts/atkinson-hyperlegible/700Bold';
import { BarlowCondensed_600SemiBold } from '@expo-google-fonts/barlow-condensed/600SemiBold';
import { BarlowCondensed_700Bold } from '@expo-google-fonts/barlow-condensed/700Bold';
import type { Paper, Sheet } from '@lucky-thread/work';
import { Asset } from 'expo-asset';
import type { PaperFaces, Papers } from './paper.worker';
import { workerLine } from './workerLine';

const papers = workerLine<Papers>(() => new Worker(new URL('./paper.worker.ts', import.meta.url)));

let faces: Promise<PaperFaces> | undefined;

/** Fetches what papers are made with, so that they can be made once the signal is gone. */
export async function fetchPaperMaker(): Promise<void> {
  faces ??= facesOf();
  faces.catch(() => {
    faces = undefined;
  });
  await Promise.all([faces, papers.ask((remote) => remote.ready())]);
}

/** A paper as a PDF, made on this device. */
export async function makePaper(paper: Paper, sheet: Sheet): Promise<Uint8Array> {
  await fetchPaperMaker();
  const own = await (faces ?? facesOf());
  return papers.ask((remote) => remote.paper(paper, sheet, own));
}

/** The files of the faces that the page itself is set in. */
async function facesOf(): Promise<PaperFaces> {
  const [text, textBold, strong, strongBold] = await Promise.all(
    [
      AtkinsonHyperlegible_400Regular,
      AtkinsonHyperlegible_700Bold,
      BarlowCondensed_600SemiBold,
      BarlowCondensed_700Bold,
    ].map(base64Of),
  );
  if (
    text === undefined ||
    textBold === undefined ||
    strong === undefined ||
    strongBold === undefined
  )
    throw new Error('a face of the papers is missing');
  return { text, textBold, strong, strongBold };
}

async function base64Of(face: number): Promise<string> {
  const answer = await fetch(Asset.fromModule(face).uri);
  if (!answer.ok) throw new Error('the faces of the papers could not be loaded');
  const bytes = new Uint8Array(await answer.arrayBuffer());
  let binary = '';
  for (const byte of bytes) binary += String.fromCharCode(byte);
  return btoa(binary);
}
