import { main } from './lib/console.mjs';
import { visitDemo } from './lib/visit.mjs';

/** Counts the frames that Build loses while it works out and draws the largest job. */
main(() =>
  visitDemo({
    doing: 'Counting frames',
    program: 'framesMain.ts',
    failed: 'the frames could not be counted; the message stands above.',
  }),
);
