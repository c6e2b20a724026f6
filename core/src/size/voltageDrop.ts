import { conductorOhm } from './conductor';

/** How the current comes back: through the body, or through a lead of its own of the same size. */
export type ReturnPath = 'body' | 'lead';

/** Everything a voltage drop is stated for. */
export interface DropBasis {
  /** Length of the supply lead one way, m. */
  readonly oneWayM: number;
  readonly returnPath: ReturnPath;
  /** Voltage that the percentage refers to, V. */
  readonly systemV: number;
  /** Temperature of the copper, °C. */
  readonly copperC: number;
}

/** A voltage drop with the basis it is true for. */
export interface VoltageDrop {
  readonly dropV: number;
  readonly percent: number;
  /** Length of copper that the current passes, m. */
  readonly copperM: number;
  /** The basis in words; a drop without it means nothing. */
  readonly statement: string;
}

/** Drop over a conductor at a current. Ohm's law over the copper of supply and, with a lead of its own, return. */
export function voltageDrop(currentA: number, areaMm2: number, basis: DropBasis): VoltageDrop {
  const copperM = basis.oneWayM * (basis.returnPath === 'lead' ? 2 : 1);
  const dropV = currentA * conductorOhm(areaMm2, copperM, basis.copperC);
  return { dropV, percent: (100 * dropV) / basis.systemV, copperM, statement: stated(basis) };
}

function stated(basis: DropBasis): string {
  const way =
    basis.returnPath === 'lead'
      ? 'there and back over leads of this size'
      : 'one way, return through the body';
  return `${way}, per cent of ${basis.systemV.toFixed(1)} V, copper at ${basis.copperC} °C`;
}
