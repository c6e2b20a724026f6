/** The model behind the verdicts, for those who want to check them. */
export { plainPosterior } from './plainPosterior';
