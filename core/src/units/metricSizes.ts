/** Metric conductor sizes in common use on vehicles, mm² (ISO 6722 series, from memory). */
export const METRIC_SIZES_MM2 = [0.35, 0.5, 0.75, 1, 1.5, 2.5, 4, 6, 10] as const;

/** The metric size nearest to a cross-section from above, mm²; undefined when none is thick enough. */
export function metricAtLeast(areaMm2: number): number | undefined {
  // An AWG size counts as the metric size it is sold as although a few per cent smaller (16 AWG, 1.31 mm² → 1.5 mm²).
  return METRIC_SIZES_MM2.find((size) => size >= areaMm2);
}
