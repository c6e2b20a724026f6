import type { CircuitFunction } from '../../vehicle';
import { CIRCUIT_FUNCTIONS, stateAt } from '../../vehicle';
import { HYPOTHESES } from '../circuit/hypotheses';
import { readLabel } from '../legend/readLabel';
import type { Reading } from '../reading/reading';
import { newBeliefCache } from './beliefCache';
import { lockSteps } from './lockSteps';
import { posterior } from './posterior';
import type { Belief } from './sourcePrior';
import { sourcePrior } from './sourcePrior';

const none = { logged: undefined };
const sum = (of: Belief['functions']): number =>
  CIRCUIT_FUNCTIONS.reduce((total, name) => total + of[name], 0);
const danger = (belief: Belief): number => sum(belief.critical);
const panel = (doubt: number, share = 0) => ({ doubt, hidden: { share, circuits: [] } });

describe('what is believed of a slot beforehand', () => {
  it('is dangerous by its legend’s class, and by what it hangs on', () => {
    const of = (legend: string | undefined): number => danger(sourcePrior({ legend, ...none }));
    expect(of('CIG')).toBeCloseTo(0.02, 9);
    expect(of('HORN')).toBeCloseTo(0.03, 9);
    expect(of(undefined)).toBeCloseTo(0.25, 9);
    expect(of('ABS')).toBeCloseTo(1, 9);
    const { critical } = sourcePrior({ legend: undefined, ...none });
    const hangsOn = CIRCUIT_FUNCTIONS.filter((name) => critical[name] > 0);
    expect(hangsOn.sort()).toEqual(
      ['constant', 'ignitionRun', 'ignitionRunCrank', 'lowBeam', 'starter', 'stopLamp'].sort(),
    );
    expect(critical.ignitionRunCrank).toBeGreaterThan(critical.constant);
  });

  it('is a legend’s own functions, less what danger takes', () => {
    const { functions, critical } = sourcePrior({ legend: 'CIG', ...none });
    const { prior } = readLabel('CIG');
    for (const name of CIRCUIT_FUNCTIONS)
      expect(functions[name]).toBeCloseTo(0.98 * prior[name] + critical[name], 12);
    expect(sum(functions)).toBeCloseTo(1, 9);
    const blocked = sourcePrior({ legend: 'ABS', ...none });
    expect(blocked.functions).toEqual(readLabel('ABS').prior);
    expect(blocked.critical).toEqual(blocked.functions);
  });

  it('is doubted with the lid it is printed on, a quarter as much once the handbook says so', () => {
    const of = (more: { handbook?: string | null; legend?: string }, doubt: number): number =>
      danger(sourcePrior({ legend: 'CIG', ...none, ...more }, panel(doubt)));
    expect(of({}, 4)).toBeCloseTo(0.08, 9);
    expect(of({}, 0.5)).toBeCloseTo(0.01, 9);
    expect(of({ handbook: 'CIG' }, 4)).toBeCloseTo(0.005, 9);
    expect(of({ handbook: null }, 4)).toBeCloseTo(0.08, 9);
    // What can’t be read is no print that could be doubted.
    expect(danger(sourcePrior({ legend: undefined, ...none }, panel(4)))).toBeCloseTo(0.25, 9);
  });

  it('gives way to the log as far as that is sure', () => {
    const plain = sourcePrior({ legend: 'CIG', ...none });
    const logged = { function: 'constant', probability: 0.9 } as never;
    const by = sourcePrior({ legend: 'CIG', logged });
    for (const name of CIRCUIT_FUNCTIONS) {
      const own = 0.1 * plain.functions[name];
      expect(by.functions[name]).toBeCloseTo(name === 'constant' ? own + 0.9 : own, 12);
      expect(by.critical[name]).toBeCloseTo(0.1 * plain.critical[name], 12);
    }
    expect(sum(by.functions)).toBeCloseTo(1, 9);
  });

  it('is one of the circuits that no legend of its panel names, where it can’t be read', () => {
    const hidden = {
      share: 0.8,
      circuits: [
        { share: 0.5, weights: { ignitionRun: 1 } },
        { share: 0.5, weights: undefined },
      ],
    };
    const belief = sourcePrior({ legend: undefined, ...none }, { doubt: 1, hidden });
    // Half of what hides is dangerous, and a quarter of everything else.
    expect(danger(belief)).toBeCloseTo(0.8 * 0.5 + 0.2 * 0.25, 9);
    expect(sum(belief.functions)).toBeCloseTo(1, 9);
    expect(belief.functions.ignitionRun).toBeGreaterThan(0.35);
    const read = sourcePrior({ legend: 'CIG', ...none }, { doubt: 1, hidden });
    expect(read).toEqual(sourcePrior({ legend: 'CIG', ...none }));
  });
});

describe('what is believed of a wire or a point beforehand', () => {
  const wire = (sought?: readonly CircuitFunction[]): Belief =>
    sourcePrior({ legend: undefined, ...none, kind: 'wire', ...(sought && { sought }) });
  /** Likeliest functions first. */
  const order = ({ functions }: Belief): CircuitFunction[] =>
    [...CIRCUIT_FUNCTIONS].sort((left, right) => functions[right] - functions[left]);

  it('is anything that a radio’s bunch holds, speakers more than most, nothing of it dangerous', () => {
    const belief = wire();
    expect(order(belief)[0]).toBe('speaker');
    expect(danger(belief)).toBe(0);
    expect(sum(belief.functions)).toBeCloseTo(1, 9);
    // Of what nobody looks for there is none in it.
    for (const name of ['horn', 'hoodSwitch', 'tachPulse', 'highBeam', 'wiper'] as const)
      expect([name, belief.functions[name]]).toEqual([name, 0]);
  });

  it('is fed, grounded or dead at a relay’s socket or a stud', () => {
    const belief = sourcePrior({ legend: undefined, ...none, kind: 'point' });
    expect(order(belief)[0]).toBe('constant');
    for (const name of ['speaker', 'dataBus', 'sensor', 'doorSwitch'] as const)
      expect(belief.functions[name]).toBe(0);
    expect(belief.functions.ground).toBeGreaterThan(0.1);
  });

  it('is raised for what is looked for, beside what passes for it', () => {
    const horn = wire(['horn']);
    const supplies = wire([]);
    expect(horn.functions.horn / horn.functions.constant).toBeCloseTo(1.5, 9);
    expect(supplies.functions.horn / supplies.functions.constant).toBeCloseTo(0.15, 9);
    // Nobody looks for a switch in a bunch of speaker leads.
    expect(horn.functions.speaker / horn.functions.constant).toBeCloseTo(2, 9);
    expect(supplies.functions.speaker / supplies.functions.constant).toBeCloseTo(6, 9);
    expect(horn.functions.wiper).toBeGreaterThan(0);
    expect(supplies.functions.wiper).toBe(0);
    const speakers = wire(['speaker']);
    expect(speakers.functions.speaker / speakers.functions.constant).toBeCloseTo(6, 9);
    expect(wire(['horn'])).toBe(horn);
    expect(wire(['horn', 'wiper'])).not.toEqual(horn);
  });
});

describe('the steps of a lock switch', () => {
  const RUN = stateAt('run');
  let count = 0;
  const read = (
    volts: number,
    lockSwitch?: 'lock' | 'unlock',
    more: Partial<Reading> = {},
  ): Reading => {
    count += 1;
    return {
      ...{ id: `r${count}`, sourceId: 'w', contact: undefined },
      state: { ...RUN, ...(lockSwitch && { lockSwitch }) },
      ...{ value: { kind: 'volts', volts }, ...more },
    };
  };
  const steps = (...readings: Reading[]): 'steps' | 'steady' | 'unknown' => {
    const cache = newBeliefCache();
    const prior = sourcePrior({ legend: undefined, ...none, kind: 'wire' });
    const said = lockSteps(posterior(prior, readings, cache).evidence);
    if (said === undefined) return 'unknown';
    const ladder = said[HYPOTHESES.findIndex((one) => one.function === 'lockMultiplex')];
    const other = said[HYPOTHESES.findIndex((one) => one.function === 'constant')];
    expect([ladder, other].sort()).toEqual([0.02, 1]);
    return ladder === 1 ? 'steps' : 'steady';
  };

  // A ladder of resistors gives each way of the switch a voltage of its own. Common practice.
  it('are told from two ways on that were read at part voltage', () => {
    expect(steps(read(4.5), read(2.5, 'lock'))).toBe('steps');
    expect(steps(read(4.5), read(4.3, 'lock'))).toBe('steady');
    expect(steps(read(4.5, 'unlock'), read(2.5, 'lock'))).toBe('steps');
    expect(steps(read(4.5), read(4.5, 'unlock'), read(1.5, 'lock'))).toBe('steps');
    expect(steps(read(4.5))).toBe('unknown');
    expect(steps(read(4.5, 'lock'))).toBe('unknown');
    expect(steps(read(4.5), read(0, 'lock'))).toBe('unknown');
    expect(steps(read(12.4), read(4.5, 'lock'))).toBe('unknown');
    expect(steps(read(-4.5), read(4.5, 'lock'))).toBe('steady');
  });

  it('take no reading from the constant, nor a lamp', () => {
    expect(steps(read(4.5), read(2.5, 'lock', { clip: 'constant' }))).toBe('unknown');
    const lit = { value: { kind: 'glow', glow: 'dim' } } as Partial<Reading>;
    expect(steps(read(4.5), read(0, 'lock', lit))).toBe('unknown');
  });
});
