import type { LineReader } from '@lucky-thread/core/card';
import { CARD_SIGNS, fileOf } from '@lucky-thread/core/card';

/** Something that reads lines of print, until it is closed. */
export interface PrintReader {
  /** Reads a line of print. */
  readonly read: LineReader;
  /** Lets its memory go. */
  readonly close: () => Promise<void>;
}

/** Where the reader's files lie: on our own server, none elsewhere. */
const FILES = {
  workerPath: '/reading/worker/worker.min.js',
  corePath: '/reading/core',
  langPath: '/reading/language',
} as const;

/** Starts the print reader; its files are fetched when it is wanted the first time. */
export async function openPrintReader(): Promise<PrintReader> {
  const { PSM, createWorker } = await import('tesseract.js');
  const worker = await createWorker('eng', 1, { ...FILES, workerBlobURL: false, gzip: true });
  await worker.setParameters({
    tessedit_pageseg_mode: PSM.SINGLE_LINE,
    tessedit_char_whitelist: CARD_SIGNS,
  });
  return {
    read: async (line) => {
      const picture = new Blob([fileOf(line) as BlobPart], { type: 'image/x-portable-graymap' });
      const { data } = await worker.recognize(picture);
      return { text: data.text.trim(), confidence: data.confidence };
    },
    close: async () => {
      await worker.terminate();
    },
  };
}
