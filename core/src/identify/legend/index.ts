export { alignLegend, laid } from './alignLegend';
export { completions } from './complete';
export { legendsFor } from './legendsFor';
export type { Alignment, LegendLie, Lie, RatingGrid } from './alignLegend';
export { LEGEND_LANGUAGE_NAMES } from './vocabulary/vocabulary';
