export { alignLegend, laid } from './alignLegend';
export type { Alignment, LegendLie, Lie, RatingGrid } from './alignLegend';
