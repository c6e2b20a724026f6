import { countFrames } from './frames';

const [base] = process.argv.slice(2);
if (base === undefined) throw new Error('give the address of the application');

countFrames(base).catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
