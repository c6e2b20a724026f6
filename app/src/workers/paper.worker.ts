import type { Paper, Sheet } from '@lucky-thread/work';
import { paperDocument } from '@lucky-thread/work';
import { expose } from 'comlink';
import pdfmake from 'pdfmake/build/pdfmake.min.js';

/** The faces of a paper, each file as base64. */
export interface PaperFaces {
  /** File of the face for words, upright. */
  readonly text: string;
  /** The same, bold. */
  readonly textBold: string;
  /** File of the face for numbers and heads. */
  readonly strong: string;
  /** The same, bold. */
  readonly strongBold: string;
}

/** A paper as a PDF, made without the server. */
async function paper(of: Paper, sheet: Sheet, faces: PaperFaces): Promise<Uint8Array> {
  pdfmake.addVirtualFileSystem({ ...faces });
  pdfmake.addFonts({
    Text: { normal: 'text', bold: 'textBold' },
    Strong: { normal: 'strong', bold: 'strongBold' },
  });
  return new Uint8Array(await pdfmake.createPdf(paperDocument(of, sheet)).getBuffer());
}

/** Nothing but being there: asked early, so that the maker is at hand once the signal is gone. */
function ready(): boolean {
  return true;
}

const papers = { paper, ready };
/** What the worker offers. */
export type Papers = typeof papers;

expose(papers);
