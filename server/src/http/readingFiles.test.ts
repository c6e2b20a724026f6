import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import express from 'express';
import { problemHandler } from './handlers';
import { readingFiles } from './readingFiles';

let server: Server;
let base: string;
beforeAll(async () => {
  const app = express();
  app.use('/reading', readingFiles());
  app.use(problemHandler);
  server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}/reading`;
});
afterAll(() => {
  server.closeAllConnections();
  server.close();
});

describe('the files of the readers', () => {
  it.each([
    '/worker/worker.min.js',
    '/core/tesseract-core-simd-lstm.wasm.js',
    '/core/tesseract-core-relaxedsimd-lstm.wasm.js',
    '/core/tesseract-core-lstm.wasm.js',
    '/language/eng.traineddata.gz',
    '/barcode/zxing_reader.wasm',
  ])('are here: %s', async (file) => {
    const answer = await fetch(base + file, { method: 'HEAD' });
    expect(answer.status).toBe(200);
    expect(Number(answer.headers.get('content-length'))).toBeGreaterThan(10_000);
  });

  it.each([
    '/core/nothing.js',
    '/core/..%2fpackage.json',
    '/language/',
    '/worker/%2e%2e/package.json',
  ])('and nothing else: %s', async (file) => {
    const answer = await fetch(base + file);
    expect([403, 404]).toContain(answer.status);
  });
});
