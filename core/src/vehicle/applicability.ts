/** Years, trims and markets a note or model entry is good for. Empty lists mean "any". */
export interface Applicability {
  /** First model year, inclusive. */
  readonly yearFrom: number;
  /** Last model year, inclusive. */
  readonly yearTo: number;
  /** Trims it was said of; empty for all. */
  readonly trims: readonly string[];
  /** Markets it was said of; empty for all. */
  readonly markets: readonly string[];
}

/** The car in front of us, as far as it decides whether a note applies. */
export interface VehicleFacts {
  /** Model year. */
  readonly year: number;
  /** Empty when not known. */
  readonly trim: string;
  /** Empty when not known. */
  readonly market: string;
}

/** Whether a note applies, with what keeps it from applying exactly. */
export interface ApplicabilityVerdict {
  /** How well it fits the car. */
  readonly match: 'exact' | 'near' | 'none';
  /** Where it does not, in words. */
  readonly reasons: readonly string[];
}

/** Years outside the range that still count as near: a generation seldom changes its wiring within them. */
const NEAR_YEARS = 1;

/** Does a note that holds for `range` apply to this car: exactly, nearly or not at all? */
export function applies(range: Applicability, car: VehicleFacts): ApplicabilityVerdict {
  const reasons: string[] = [];
  const yearsOff = Math.max(range.yearFrom - car.year, car.year - range.yearTo, 0);
  if (yearsOff > 0)
    reasons.push(`model year ${car.year} is ${yearsOff} outside ${range.yearFrom}–${range.yearTo}`);
  if (!isListed(range.trims, car.trim))
    reasons.push(`trim ${car.trim} is not among ${range.trims.join(', ')}`);
  if (!isListed(range.markets, car.market))
    reasons.push(`market ${car.market} is not among ${range.markets.join(', ')}`);
  if (yearsOff > NEAR_YEARS) return { match: 'none', reasons };
  return { match: reasons.length === 0 ? 'exact' : 'near', reasons };
}

function isListed(list: readonly string[], value: string): boolean {
  return list.length === 0 || value === '' || list.includes(value);
}
