export { alignLegend, laid } from './alignLegend';
export type { Alignment, LegendLie, Lie, RatingGrid } from './alignLegend';
export { LEGEND_LANGUAGE_NAMES } from './vocabulary/vocabulary';
