export { alignLegend, laid } from './alignLegend';
export { completions } from './complete';
export { legendsFor } from './legendsFor';
export { LEGEND_SPELLINGS, howUnknown, readSafety } from './spellings';
export type { Alignment, LegendLie, Lie, RatingGrid } from './alignLegend';
export { LEGEND_LANGUAGE_NAMES } from './vocabulary/vocabulary';
