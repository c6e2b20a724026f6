import { main } from './lib/console.mjs';
import { checkTypes } from './lib/checks.mjs';

main(async () => {
  const results = await checkTypes();
  if (results.some((result) => !result.ok)) process.exitCode = 1;
});
