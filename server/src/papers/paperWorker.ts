import { parentPort } from 'node:worker_threads';
import type { PaperOrder } from './makePaper';
import { makePaper } from './makePaper';

// What a thread of papers does: an order comes in, a paper or what went wrong goes out.
parentPort?.on('message', async (order: PaperOrder) => {
  const answer = await makePaper(order).then(
    (paper) => ({ paper }),
    (error: unknown) => ({ error }),
  );
  parentPort?.postMessage(answer);
});
