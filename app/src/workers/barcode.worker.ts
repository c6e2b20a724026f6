import { expose } from 'comlink';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';

// The reader's own file comes from our server, none from elsewhere.
prepareZXingModule({ overrides: { locateFile: (file: string) => `/reading/barcode/${file}` } });

/** Codes that carry a VIN on a windscreen, a door or a fuse panel's lid, common practice. */
const FORMATS = ['Code39', 'Code128', 'DataMatrix', 'QRCode'] as const;

/** What every bar code on a picture says. */
async function read(picture: Blob): Promise<string[]> {
  const found = await readBarcodes(picture, { formats: [...FORMATS], tryHarder: true });
  return found.filter((one) => one.isValid).map((one) => one.text);
}

/** Bar codes on pictures, off the interface's thread. */
const barcodes = { read };
/** What the worker offers. */
export type Barcodes = typeof barcodes;

expose(barcodes);
