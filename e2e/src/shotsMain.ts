import { takeShots } from './shots';

takeShots(process.argv[2] ?? 'http://127.0.0.1:4180').catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
