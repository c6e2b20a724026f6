import { stateAt } from '../../vehicle';
import type { StitchPlace } from '../../vehicle';
import type { Reading, ReadingValue, ProbeSource } from '../index';
import { describeStitch, judge, stitchOf } from '../index';

function source(more: Partial<ProbeSource>): ProbeSource {
  return {
    id: 'F1',
    name: 'F1',
    legend: undefined,
    fitted: true,
    tappable: true,
    logged: undefined,
    ...more,
  };
}

function read(place: StitchPlace, value: ReadingValue, more: Partial<Reading> = {}): Reading {
  return {
    id: `${place}-${JSON.stringify(value)}`,
    sourceId: 'F1',
    contact: undefined,
    state: stateAt(place),
    value,
    ...more,
  };
}

const volts = (place: StitchPlace, value: number): Reading =>
  read(place, { kind: 'volts', volts: value });

describe('circuits to keep away from', () => {
  it.each([
    ['A/BAG', /do not pull the fuse.*no lamp and no probe/],
    ['GURTSTR', /do not pull the fuse/],
    ['ABS', /take nothing from it.*no lamp/],
    ['EPS', /take nothing from it/],
  ])('are fenced by their legend alone: %s', (legend, instruction) => {
    expect(judge(source({ legend }), []).fence?.instruction).toMatch(instruction);
  });

  it('are not fenced by what is written on a wire: a wire has no legend', () => {
    expect(judge(source({ kind: 'wire', legend: 'ABS' }), []).fence).toBeUndefined();
    expect(judge(source({ legend: 'ABS' }), []).fence?.reason).not.toBe('');
  });

  it('are not fenced where the legend is harmless and nothing was read', () => {
    expect(judge(source({ legend: 'CIG' }), []).fence).toBeUndefined();
    expect(judge(source({ kind: 'wire' }), []).fence).toBeUndefined();
  });

  // A pair at about half of 5 V with the key on is a data line; common practice.
  it('are recognised by a data line’s bias: no lamp, no 9 V', () => {
    const verdict = judge(source({ kind: 'wire' }), [volts('run', 2.5), volts('off', 2.5)]);
    expect(verdict.leading).toBe('dataBus');
    expect(verdict.fence?.instruction).toMatch(/no filament lamp.*no 9 V pop/);
  });

  it('are recognised by a sensor’s 5 V: meter only', () => {
    const verdict = judge(source({ kind: 'wire' }), [volts('run', 5.01), volts('off', 0.01)]);
    expect(verdict.leading).toBe('sensor');
    expect(verdict.fence?.instruction).toMatch(/Meter only/);
  });

  it('are not seen in a plain feed', () => {
    const verdict = judge(source({ kind: 'wire' }), [volts('run', 12.3), volts('off', 0)]);
    expect(verdict.fence).toBeUndefined();
  });
});

describe('contradictions', () => {
  it('name the lamp’s word against the meter’s', () => {
    const { contradictions } = judge(source({ legend: 'CIG' }), [
      volts('run', 11.9),
      read('run', { kind: 'glow', glow: 'dark' }),
    ]);
    expect(contradictions).toHaveLength(1);
    expect(contradictions[0]?.explanation).toMatch(/Trust the lamp/);
  });

  it('name clip, fuse and sleep where one instrument disagrees with itself', () => {
    const { contradictions, status } = judge(source({ legend: 'CIG' }), [
      volts('run', 12.3),
      { ...volts('run', 0), id: 'again' },
    ]);
    expect(status).toBe('contradicted');
    expect(contradictions[0]).toMatchObject({ place: 'run' });
    expect(contradictions[0]?.explanation).toMatch(/clip.*fuse was out.*asleep|clip.*sleep/);
  });

  it('are none between two states', () => {
    const verdict = judge(source({ legend: 'CIG' }), [volts('run', 12.3), volts('off', 0)]);
    expect(verdict.contradictions).toEqual([]);
  });
});

describe('the stitch', () => {
  it('runs high, low, in between, crossed, and loose where nobody looked', () => {
    const stitch = stitchOf([
      volts('off', 0),
      volts('acc', 12.3),
      volts('run', 12.3),
      { ...volts('run', 0), id: 'again' },
      volts('crank', 4),
    ]);
    const mark = (place: StitchPlace) => stitch.find((one) => one.place === place)?.mark;
    expect([mark('asleep'), mark('off'), mark('acc'), mark('run'), mark('crank')]).toEqual([
      'loose',
      'low',
      'high',
      'crossed',
      'middle',
    ]);
  });

  it('shows other states only where something was read, and says itself in words', () => {
    expect(stitchOf([]).map(({ place }) => place)).not.toContain('lamps');
    const stitch = stitchOf([volts('lamps', 12.2)]);
    expect(describeStitch(stitch)).toMatch(/asleep not looked at.*lamps live/);
  });

  it('passes over readings at the contacts of an empty slot', () => {
    const stitch = stitchOf([{ ...volts('off', 12.4), contact: 'a' }]);
    expect(stitch.every(({ mark }) => mark === 'loose')).toBe(true);
  });
});
