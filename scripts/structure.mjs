import { main } from './lib/console.mjs';
import { firstLoad } from './lib/firstLoad.mjs';
import { structure, structureLine } from './lib/structure.mjs';

main(async () => {
  const { packages, problems } = structure();
  const first = firstLoad();
  for (const one of packages) console.log(structureLine(one));
  console.log(first.line);
  for (const problem of [...problems, ...first.problems]) console.log(`✕ ${problem}`);
  if (problems.length + first.problems.length > 0) process.exitCode = 1;
});
