import { createRequire } from 'node:module';
import path from 'node:path';
import express, { Router } from 'express';

const resolve = createRequire(import.meta.url).resolve;

/** Folder of an installed package. */
function folderOf(name: string): string {
  return path.dirname(resolve(`${name}/package.json`));
}

/** What the app reads print and bar codes with on the device: the readers and the language, all from here. */
const FOLDERS = {
  '/worker': path.join(folderOf('tesseract.js'), 'dist'),
  '/core': folderOf('tesseract.js-core'),
  '/barcode': path.dirname(resolve('zxing-wasm/reader/zxing_reader.wasm')),
  '/language': path.join(folderOf('@tesseract.js-data/eng'), '4.0.0_best_int'),
} as const;

/** Serves the files of the readers; they change only with the version of the packages. */
export function readingFiles(): Router {
  const router = Router();
  for (const [at, folder] of Object.entries(FOLDERS))
    router.use(at, express.static(folder, { index: false, maxAge: '1d', fallthrough: false }));
  return router;
}
