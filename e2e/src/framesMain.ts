import { countFrames } from './frames';
import { endBrowsers } from './lib/browserPool';

const [base] = process.argv.slice(2);
if (base === undefined) throw new Error('give the address of the application');

countFrames(base)
  .finally(endBrowsers)
  .catch((error: unknown) => {
    console.error(error);
    process.exit(1);
  });
