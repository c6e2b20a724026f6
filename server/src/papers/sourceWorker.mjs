// What a thread of papers runs while one works on the server: its sources, which a thread of Node does not read by itself.
import { register } from 'tsx/esm/api';

register();
await import('./paperWorker.ts');
