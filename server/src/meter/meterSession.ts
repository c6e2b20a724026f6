import type { BenchCar, BenchTouch, Clip, FittedLead } from '@lucky-thread/core/bench';
import {
  behindConverter,
  lampShows,
  leadTouch,
  meterShows,
  ohmmeterShows,
  popShows,
} from '@lucky-thread/core/bench';
import type { VehicleState } from '@lucky-thread/core/vehicle';
import {
  LEAD_POINT,
  LEAD_SPOTS,
  PARKED,
  isLeadPoint,
  leadPointId,
} from '@lucky-thread/core/vehicle';
import { VehicleStateInput, validate } from '@lucky-thread/contract';

/** A conversation with the simulated meter: one line in, one line out. */
export interface MeterSession {
  /** What the meter says to one line of a program. */
  readonly answer: (line: string) => string | Promise<string>;
}

/** Error answers with the numbers of SCPI-99 (from memory). */
export const METER_ERRORS = {
  syntax: '-102,"Syntax error"',
  header: '-113,"Undefined header"',
  parameter: '-220,"Parameter error"',
  noSource: '-221,"Settings conflict; nothing is probed"',
  device: '-300,"Device-specific error"',
  overrun: '-350,"Queue overflow"',
} as const;
/** What the clip sits on when it sits on the battery's plus post. */
const BATTERY = 'battery+';

function clipTo(clip: string): Clip['to'] {
  return clip === BATTERY ? 'battery' : { pointId: clip };
}

/** What SCPI sends for an overload. */
const OVERLOAD = '9.9E+37';
/** Longest line taken, characters. */
const LONGEST_LINE = 1000;

/**
 * The simulated meter's line protocol, after SCPI: `MEAS:VOLT:DC?`, `MEAS:RES?`, `*IDN?`; the `SIM:` lines stand in for
 * what hands do: the car's state, where probe and clip sit, a lamp, a 9 V pop. Described in docs/meter-protocol.md.
 *
 * @param leads the job’s added leads as they are planned, asked for whenever one of them is probed
 */
export function meterSession(
  car: BenchCar,
  random: () => number,
  leads: () => Promise<readonly FittedLead[]> = () => Promise.resolve([]),
): MeterSession {
  /** The car as it is probed: with the job’s leads fitted while one of them is, untouched otherwise. */
  let probed = car;
  let state: VehicleState = PARKED;
  let probe: { pointId: string; contact: 'a' | 'b' | undefined; clip?: Clip } | undefined;
  /** What a device’s converter gives where the probe is behind one, V. */
  let converterV: number | undefined;
  let clip: string | undefined;
  const touch = (): BenchTouch | undefined =>
    probe === undefined
      ? undefined
      : {
          ...probe,
          state,
          ...(clip === undefined ? {} : { clip: { to: clipTo(clip), ohm: 0.05 } }),
        };
  const measured = (measure: (at: BenchTouch) => string): string => {
    const at = touch();
    return at === undefined ? METER_ERRORS.noSource : measure(at);
  };
  /** Puts the probe on a point of an added lead, with the job’s leads fitted as they are planned now. */
  const toLead = async (pointId: string): Promise<string> => {
    const fitted = await leads();
    const spot = LEAD_SPOTS.find((one) => pointId.startsWith(`${LEAD_POINT}${one}:`));
    const lead = fitted.find(
      ({ id, at }) =>
        spot !== undefined &&
        pointId === leadPointId(spot, id, 'slotId' in at ? at.slotId : at.wireId),
    );
    const touched =
      spot === undefined || lead === undefined
        ? undefined
        : leadTouch(car.vehicle, fitted, { id: lead.id, spot });
    if (touched === undefined) return METER_ERRORS.parameter;
    probed = touched.car;
    probe = {
      ...{ pointId: touched.pointId, contact: touched.contact },
      ...(touched.clip === undefined ? {} : { clip: touched.clip }),
    };
    converterV = touched.converterV;
    return 'OK';
  };
  const commands = new Map<string, (parameter: string) => string | Promise<string>>(
    Object.entries({
      '*IDN?': () => 'LUCKY THREAD,SIMULATED METER,0,1',
      'SIM:STAT': (parameter: string) => {
        const read = stateFrom(parameter);
        if (read === undefined) return METER_ERRORS.parameter;
        state = read;
        return 'OK';
      },
      'SIM:PROB': (parameter: string) => {
        const [pointId, contact] = texts(parameter);
        if (pointId !== undefined && isLeadPoint(pointId)) return toLead(pointId);
        if (pointId === undefined || !isPoint(car, pointId)) return METER_ERRORS.parameter;
        if (contact !== undefined && contact !== 'a' && contact !== 'b')
          return METER_ERRORS.parameter;
        probe = { pointId, contact };
        probed = car;
        converterV = undefined;
        return 'OK';
      },
      'SIM:CLIP': (parameter: string) => {
        const [to] = texts(parameter);
        if (to !== undefined && to !== BATTERY && !isPoint(car, to)) return METER_ERRORS.parameter;
        clip = to;
        return 'OK';
      },
      'MEAS:VOLT:DC?': () =>
        measured((at) => {
          const shows = meterShows(probed, at, random);
          return shows.kind === 'volts'
            ? number(behindConverter(shows.volts, converterV))
            : `${number(shows.lowV)},${number(shows.highV)}`;
        }),
      'MEAS:RES?': (parameter: string) =>
        measured((at) => {
          const [otherId] = texts(parameter);
          if (otherId !== undefined && !isPoint(car, otherId)) return METER_ERRORS.parameter;
          const shows = ohmmeterShows(probed, {
            ...at,
            ...(otherId === undefined ? {} : { otherId }),
          });
          return shows.kind === 'ohms' ? number(shows.ohm) : OVERLOAD;
        }),
      'SIM:LAMP?': () => measured((at) => lampShows(probed, at).burns.toUpperCase()),
      'SIM:POP?': (parameter: string) => {
        const [plusId, minusId] = texts(parameter);
        if (plusId === undefined || minusId === undefined) return METER_ERRORS.parameter;
        if (!isWire(car, plusId) || !isWire(car, minusId)) return METER_ERRORS.parameter;
        const shows = popShows(car, { plusId, minusId, state });
        return `${shows.cone.toUpperCase()},"${shows.speaker ?? ''}","${shows.harm ?? ''}"`;
      },
    }),
  );
  return {
    answer: (line) => {
      if (line.length > LONGEST_LINE) return METER_ERRORS.syntax;
      const [, header = '', parameter = ''] = /^\s*(\S+)\s*(.*?)\s*$/s.exec(line) ?? [];
      const command = commands.get(header.toUpperCase());
      return command === undefined ? METER_ERRORS.header : command(parameter);
    },
  };
}

/** A number as SCPI writes it, e.g. `+1.234000E+01`. */
function number(value: number): string {
  const [mantissa = '0', exponent = '0'] = Math.abs(value).toExponential(6).split('e');
  const power = Number(exponent);
  const sign = power < 0 ? '-' : '+';
  return `${value < 0 ? '-' : '+'}${mantissa}E${sign}${String(Math.abs(power)).padStart(2, '0')}`;
}

/** Quoted texts of a parameter list. */
function texts(parameter: string): string[] {
  return [...parameter.matchAll(/"([^"]*)"/g)].map((match) => match[1] ?? '');
}

function stateFrom(parameter: string): VehicleState | undefined {
  let parsed: unknown;
  try {
    parsed = JSON.parse(parameter);
  } catch {
    return undefined;
  }
  if (typeof parsed !== 'object' || parsed === null) return undefined;
  const result = validate(VehicleStateInput, parsed);
  return result.ok ? result.value : undefined;
}

function isPoint(car: BenchCar, id: string): boolean {
  return isWire(car, id) || car.vehicle.circuits.some((circuit) => circuit.slotId === id);
}

function isWire(car: BenchCar, id: string): boolean {
  return (car.vehicle.wires ?? []).some((wire) => wire.id === id);
}
