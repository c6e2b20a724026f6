import { endBrowsers } from './lib/browserPool';
import { takeShots } from './shots';

const [base, folder] = process.argv.slice(2);
if (base === undefined || folder === undefined)
  throw new Error('give the address of the application and the folder for the pictures');

takeShots(base, folder)
  .finally(endBrowsers)
  .catch((error: unknown) => {
    console.error(error);
    process.exit(1);
  });
