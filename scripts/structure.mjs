import { main } from './lib/console.mjs';
import { structure, structureLine } from './lib/structure.mjs';

main(async () => {
  const { packages, problems } = structure();
  for (const one of packages) console.log(structureLine(one));
  for (const problem of problems) console.log(`✕ ${problem}`);
  if (problems.length > 0) process.exitCode = 1;
});
