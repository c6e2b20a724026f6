import { advise } from '@lucky-thread/core/identify';
import { expose } from 'comlink';

/** Identification and planning off the interface's thread. */
const planner = { advise };
/** What the worker offers. */
export type Planner = typeof planner;

expose(planner);
