import { main } from './lib/console.mjs';
import { checkTypes } from './lib/checks.mjs';

main(async () => {
  if (!(await checkTypes()).ok) process.exitCode = 1;
});
