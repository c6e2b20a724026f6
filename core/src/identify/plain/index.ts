/** The identification written down plainly, for those who want to check the quick one. */
export { plainAdvise } from './plainAdvise';
export { plainPosterior } from './plainPosterior';
