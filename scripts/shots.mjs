import path from 'node:path';
import { main } from './lib/console.mjs';
import { ROOT } from './lib/run.mjs';
import { visitDemo } from './lib/visit.mjs';

/** Takes the README's pictures anew from fresh demo data. */
main(() =>
  visitDemo({
    doing: 'Taking pictures',
    program: 'shotsMain.ts',
    args: [path.join(ROOT, 'docs/screenshots')],
    failed: 'the pictures could not be taken; the message stands above.',
  }),
);
