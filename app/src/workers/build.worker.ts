import { buildPlanOf } from '@lucky-thread/work';
import { expose } from 'comlink';

/** What is worked out for building a job, off the interface's thread. */
const builder = { plan: buildPlanOf };
/** What the worker offers. */
export type Builder = typeof builder;

expose(builder);
