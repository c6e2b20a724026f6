import { newAdviser } from '@lucky-thread/core/identify';
import { adviseHarness } from '@lucky-thread/core/identify/harness';
import { expose } from 'comlink';
import { tellsChanges } from './changedVerdicts';
import { practiseByPlan } from './practiseByPlan';
import { workOutMonth } from './workOutMonth';

/** Identification and planning off the interface's thread. */
const planner = { advise: tellsChanges(newAdviser()), adviseHarness, practiseByPlan, workOutMonth };
/** What the worker offers. */
export type Planner = typeof planner;

expose(planner);
