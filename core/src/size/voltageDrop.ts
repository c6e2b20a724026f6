import { strandedOhm } from './strandedWire';

/** How the current comes back: through the body, or through a lead of its own of the same size. */
export type ReturnPath = 'body' | 'lead';

/** Everything a voltage drop is stated for. */
export interface DropBasis {
  /** Length of the supply lead one way, m. */
  readonly oneWayM: number;
  /** How the current comes back. */
  readonly returnPath: ReturnPath;
  /** Length of a return lead of its own, m; as long as the supply when left out. */
  readonly returnM?: number | undefined;
  /** Resistance of the ground joint, Ω; 0 when left out. */
  readonly groundOhm?: number | undefined;
  /** Voltage that the percentage refers to, V. */
  readonly systemV: number;
  /** Temperature of the copper, °C. */
  readonly copperC: number;
}

/** A voltage drop with the basis it is true for. */
export interface VoltageDrop {
  /** Lost over the whole circuit, V. */
  readonly dropV: number;
  /** The same, per cent of the system’s voltage. */
  readonly percent: number;
  /** Lost in the supply lead alone, V. */
  readonly supplyV: number;
  /** Lost on the way back, V: return lead and ground joint. */
  readonly returnV: number;
  /** Length of copper that the current passes, m. */
  readonly copperM: number;
  /** The basis in words; a drop without it means nothing. */
  readonly statement: string;
}

/** Drop over a conductor at a current. Ohm's law over the copper of supply and, with a lead of its own, return. */
export function voltageDrop(currentA: number, areaMm2: number, basis: DropBasis): VoltageDrop {
  const returnM = basis.returnPath === 'lead' ? (basis.returnM ?? basis.oneWayM) : 0;
  const supplyV = currentA * strandedOhm(areaMm2, basis.oneWayM, basis.copperC);
  const returnV =
    currentA * (strandedOhm(areaMm2, returnM, basis.copperC) + (basis.groundOhm ?? 0));
  const dropV = supplyV + returnV;
  return {
    dropV,
    percent: (100 * dropV) / basis.systemV,
    supplyV,
    returnV,
    copperM: basis.oneWayM + returnM,
    statement: stated(basis),
  };
}

function stated(basis: DropBasis): string {
  const way =
    basis.returnPath === 'lead'
      ? 'there and back over leads of this size'
      : 'one way, return through the body';
  const joint =
    basis.groundOhm === undefined || basis.groundOhm === 0
      ? ''
      : `, ground joint ${(1000 * basis.groundOhm).toFixed(0)} mΩ`;
  return `${way}${joint}, per cent of ${basis.systemV.toFixed(1)} V, copper at ${basis.copperC} °C`;
}
