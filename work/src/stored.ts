/** What screens need of stored things before anything is computed: no part of the core but the vehicle’s comes with it. */
export { seenId } from './seen';
export { sourcesOf } from './sources';
export { titleOf } from './titleOf';
