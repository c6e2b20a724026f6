import type { Barcodes } from './barcode.worker';
import { workerLine } from './workerLine';

const barcodes = workerLine<Barcodes>(
  () => new Worker(new URL('./barcode.worker.ts', import.meta.url)),
);

/** What the bar codes on a picture say; nothing of it leaves the device. */
export function askBarcodes(picture: Blob): Promise<string[]> {
  return barcodes.ask(async (remote) => remote.read(picture));
}
