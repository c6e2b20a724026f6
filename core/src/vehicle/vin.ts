/** What a vehicle identification number says by itself. */
export interface DecodedVin {
  /** As decoded: capitals, without blanks. */
  readonly vin: string;
  /** World region of the maker, from the first character. */
  readonly region: string;
  /** Model year, where the rules fix it: cars and light trucks of North America. */
  readonly modelYear: number | undefined;
  /** Years that the code may mean; elsewhere makers need not follow it, and it is a proposal or nothing. */
  readonly modelYears: readonly number[];
  /** Whether position 9 is what the others make it. */
  readonly checkDigit: 'matches' | 'differs';
  /** The digit that position 9 should carry. */
  readonly expectedCheckDigit: string;
  /** Whether the check digit is mandatory where this maker builds (North America). */
  readonly checkDigitMandatory: boolean;
  /** What the reader should know before trusting it. */
  readonly warnings: readonly string[];
}

/** What is known besides the VIN. */
export interface VinContext {
  /** This year; no model year lies more than two ahead of it. */
  readonly nowYear?: number;
  /** A car or light truck, which position 7 speaks of. */
  readonly light?: boolean;
}

/** A VIN, or everything that is wrong with the text. */
export type VinResult =
  | { readonly ok: true; readonly value: DecodedVin }
  | { readonly ok: false; readonly problems: readonly string[] };

const VIN_LENGTH = 17;
/** Weights by position, 49 CFR 565.15 and ISO 3779. */
const WEIGHTS: readonly number[] = [8, 7, 6, 5, 4, 3, 2, 10, 0, 9, 8, 7, 6, 5, 4, 3, 2];
const CHECK_MODULUS = 11;
const CHECK_POSITION = 8;
const YEAR_POSITION = 9;
/** For cars, a letter here says the later of the two thirty-year cycles (49 CFR 565.15). */
const CYCLE_POSITION = 6;
const TRANSLITERATION: Record<string, number> = {
  ...Object.fromEntries([...'0123456789'].map((digit) => [digit, Number(digit)])),
  ...Object.fromEntries([...'ABCDEFGH'].map((letter, index) => [letter, index + 1])),
  ...Object.fromEntries([...'JKLMN'].map((letter, index) => [letter, index + 1])),
  P: 7,
  R: 9,
  ...Object.fromEntries([...'STUVWXYZ'].map((letter, index) => [letter, index + 2])),
};
/** Year letters in order from 1980; the cycle repeats after thirty years. */
const YEAR_CODES = 'ABCDEFGHJKLMNPRSTVWXY123456789';
const FIRST_YEAR = 1980;
const CYCLE_YEARS = 30;
/** Model years run ahead of the calendar, by two at most. */
const YEARS_AHEAD = 2;
/** World regions by the first characters, ISO 3780. */
const REGIONS: readonly (readonly [RegExp, string])[] = [
  [/^[A-H]/, 'Africa'],
  [/^[J-R]/, 'Asia'],
  [/^[S-Z]/, 'Europe'],
  // 7A to 7E were Oceania's from the first, 7F to 70 are the United States': SAE's table of world codes, from memory.
  [/^(?:[1-5]|7[F-Z0-9])/, 'North America'],
  [/^(?:6|7[A-E])/, 'Oceania'],
  [/^[89]/, 'South America'],
];

/**
 * Which region, model year and check digit a VIN carries.
 *
 * A wrong check digit is a problem where it is mandatory (North America) and a warning elsewhere; I, O and Q are
 * always problems. Source: 49 CFR 565.15, ISO 3779.
 *
 * @param given `nowYear`, so that no year more than two ahead is proposed; `light` false for what is no car or light
 * truck, to which the rule of position 7 does not apply (by default it is one)
 * @example decodeVin('1M8GDM9AXKP042788').ok // true
 */
export function decodeVin(text: string, given: VinContext = {}): VinResult {
  const vin = text.trim().toUpperCase();
  const problems = shapeProblems(vin);
  if (problems.length > 0) return { ok: false, problems };

  const region = REGIONS.find(([pattern]) => pattern.test(vin))?.[1] ?? 'unknown region';
  const expected = checkDigit(vin);
  const matches = expected === vin.charAt(CHECK_POSITION);
  const mandatory = region === 'North America';
  const differs = `Character 9 is ${vin.charAt(CHECK_POSITION)}, the check digit comes out as ${expected}`;
  if (!matches && mandatory)
    return { ok: false, problems: [`${differs}: one character was misread.`] };

  const ruled = mandatory && given.light !== false;
  const modelYears = yearsOf(vin, { ...given, ruled });
  const modelYear = ruled ? modelYears[0] : undefined;
  const warnings: string[] = [];
  if (!matches)
    warnings.push(`${differs}. Makers outside North America need not use it: read the VIN again.`);
  if (modelYears.length === 0)
    warnings.push(`Character 10, ${vin.charAt(YEAR_POSITION)}, is no model year.`);
  else if (!mandatory)
    warnings.push(
      `Outside North America character 10 is often no year. If it is one: ${modelYears.join(' or ')}.`,
    );
  return {
    ok: true,
    value: {
      vin,
      region,
      modelYear,
      modelYears,
      checkDigit: matches ? 'matches' : 'differs',
      expectedCheckDigit: expected,
      checkDigitMandatory: mandatory,
      warnings,
    },
  };
}

function shapeProblems(vin: string): string[] {
  const problems: string[] = [];
  if (vin.length !== VIN_LENGTH)
    problems.push(`A VIN has ${VIN_LENGTH} characters; this one has ${vin.length}.`);
  [...vin].forEach((character, index) => {
    if (/[IOQ]/.test(character))
      problems.push(
        `Character ${index + 1} is ${character}: I, O and Q never occur in a VIN. Perhaps 1 or 0.`,
      );
    else if (!(character in TRANSLITERATION))
      problems.push(`Character ${index + 1}, "${character}", is neither a letter nor a digit.`);
  });
  return problems;
}

/** The check digit that belongs at position 9 of a well-formed VIN. */
export function checkDigit(vin: string): string {
  const remainder = weightedSum(vin) % CHECK_MODULUS;
  return remainder === 10 ? 'X' : String(remainder);
}

/** The weighted sum behind the check digit. */
export function weightedSum(vin: string): number {
  return WEIGHTS.reduce(
    (sum, weight, index) => sum + weight * (TRANSLITERATION[vin.charAt(index)] ?? 0),
    0,
  );
}

/** Years that position 10 may mean, ascending: one where position 7 decides, else both of its cycles. */
function yearsOf(
  vin: string,
  given: { readonly nowYear?: number; readonly ruled: boolean },
): readonly number[] {
  const index = YEAR_CODES.indexOf(vin.charAt(YEAR_POSITION));
  if (index < 0) return [];
  const years = [FIRST_YEAR + index, FIRST_YEAR + index + CYCLE_YEARS];
  const later = /[A-Z]/.test(vin.charAt(CYCLE_POSITION));
  const possible = given.ruled ? years.slice(later ? 1 : 0, later ? 2 : 1) : years;
  const latest = given.nowYear === undefined ? Infinity : given.nowYear + YEARS_AHEAD;
  return possible.filter((year) => year <= latest);
}
