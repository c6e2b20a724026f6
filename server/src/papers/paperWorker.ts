/** What a thread of papers does; see `paperThread`. */
export { makePaper as default } from './makePaper';
