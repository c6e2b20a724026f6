import type { Reading } from '../identify';
import { placeOf, stateAt } from '../vehicle';
import type { ProofCheck, ProvedLead } from './index';
import { checkLimit, checkTitle, judgeCheck, orderChecks, proofChecks } from './index';

const AMPS = 5;

function provedLead(): ProvedLead {
  return {
    feed: { id: 'switched', role: 'switched', currentA: AMPS },
    ...{ sourceId: 'F1', at: 'slot', of: 'accessory', dropV: 0.24, dropLimitV: 0.36, ground: true },
    sourceV: { acc: 12.3, run: 12.4 },
  };
}

it('says of each check where the probe goes, what it must show and where the limit comes from', () => {
  const rows = proofChecks(provedLead()).map((check) => [
    check.id,
    check.kind,
    checkTitle(check),
    checkLimit(check),
    Number(check.expectV.toFixed(2)),
  ]);
  // 12.4 V less 0.36 V of the lead, 0.25 V between readings, 5 A over 0.05 Ω of the car: 11.54 V.
  expect(rows).toEqual([
    ['end run', 'live', 'Far end: run', '≥ 11.54 V', 12.16],
    ['end acc', 'live', 'Far end: accessory', '≥ 11.44 V', 12.06],
    ['end off', 'dead', 'Far end: key off (door opened)', '≤ 0.80 V', 0],
    ['original run', 'original', 'Original circuit: run', '≥ 11.90 V', 12.4],
    ['endOriginalOut run', 'orientation', 'Far end, original fuse out: run', '≥ 11.54 V', 12.16],
    ['end lamps', 'dead', 'Far end: lamps on', '≤ 0.80 V', 0],
    ['ground run', 'live', 'Ground, load on: run', '≤ 0.10 V', 0],
  ]);
  const [live, , dead, original, turned, , ground] = proofChecks(provedLead());
  expect(live?.pointId).toBe('lead:end:switched:F1');
  expect(live?.how).toMatch(/plus lead to ground lead/);
  expect(live?.because).toBe(
    'At least 11.54 V: 12.40 V read at the source, less 0.36 V that the lead may lose, 0.50 V for the battery and the car’s own feed.',
  );
  expect(live?.caution).toMatch(/live from now on/);
  expect(dead?.because).toMatch(/what floats is pulled down/);
  expect(original?.how).toMatch(/load side.*works as before/);
  expect(original?.because).not.toMatch(/may lose/);
  expect(turned?.how).toMatch(/Key off, original fuse out/);
  expect(turned?.caution).toMatch(/Key off/);
  expect(ground?.how).toMatch(/battery’s minus/);
  expect(ground?.because).toMatch(/common practice/);
});

it('asks for no effect of the lamps only where the key alone feeds a load that is on', () => {
  const asks = (feed: Partial<ProvedLead['feed']>): boolean =>
    proofChecks({ ...provedLead(), feed: { ...provedLead().feed, ...feed } }).some(
      ({ id }) => id === 'end lamps',
    );
  expect(asks({})).toBe(true);
  expect(asks({ role: 'constant' })).toBe(false);
  expect(asks({ currentA: 0 })).toBe(false);
  expect(asks({ mayStayLiveAwake: true })).toBe(false);
});

it('proves a constant by its fuse, and a splice on its wire', () => {
  const feed = { id: 'memory', role: 'constant', currentA: 1 } as const;
  const checks = proofChecks({ ...provedLead(), feed, of: 'constant', at: 'wire', ground: false });
  expect(checks.map(({ id }) => id)).toEqual([
    'end off',
    'end run',
    'end asleep',
    'endAddedOut off',
    'original off',
  ]);
  expect(checks[3]?.how).toMatch(/added fuse out/);
  expect(checks[4]?.how).toMatch(/car’s wire beside the joint/);
});

it('allows a dip of its own while cranking, and charging volts with the engine on', () => {
  const feed = { id: 'i', role: 'switched', currentA: 2, holdsCranking: true } as const;
  const crank = proofChecks({ ...provedLead(), feed, sourceV: {} }).find(
    ({ state }) => placeOf(state) === 'crank',
  );
  // Usually 9.6 V while cranking (check values), less 0.36, 1, 0.6 unmeasured and 2 A over 0.05 Ω.
  expect(crank?.leastV).toBeCloseTo(9.6 - 0.36 - 1 - 0.6 - 0.1, 6);
  expect(crank?.caution).toMatch(/Cranking/);
});

describe('what a failed check points to', () => {
  const [live, acc, dead, original, turned, , ground] = proofChecks(provedLead()) as [
    ProofCheck,
    ProofCheck,
    ProofCheck,
    ProofCheck,
    ProofCheck,
    ProofCheck,
    ProofCheck,
  ];
  const out = proofChecks({
    ...provedLead(),
    feed: { id: 'm', role: 'constant', currentA: 1 },
    of: 'constant',
  }).find(({ spot }) => spot === 'endAddedOut') as ProofCheck;
  it.each([
    ['nothing at the far end', live, 0.3, /^Added fuse/],
    [
      'too little at the far end',
      acc,
      10.8,
      /^1\.26 V more than the lead should lose: about 0\.25 Ω too much at 5 A/,
    ],
    ['live where it should be dead', dead, 12.2, /^It is another circuit/],
    ['live without its fuse', out, 12.2, /^Current comes by another way/],
    ['original dead', original, 0, /^The original fuse: in the place nearest the blades/],
    ['original weak', original, 9, /^The tap’s blades and the old contacts/],
    ['dead without the original fuse', turned, 0.1, /^The tap is the wrong way round/],
    ['a poor ground', ground, 0.4, /^Bare metal/],
  ])('%s', (_name, check, volts, first) => {
    const reading: Reading = {
      ...{ id: 'r', sourceId: check.pointId, contact: undefined, state: check.state },
      value: { kind: 'volts', volts },
    };
    const standing = judgeCheck(check, [reading], AMPS);
    expect(standing).toMatchObject({
      is: 'failed',
      readingId: 'r',
      shows: `${volts.toFixed(2)} V`,
    });
    expect(standing.is === 'failed' && standing.look[0]).toMatch(first);
  });

  it('a dim lamp is some voltage, and what flows is not known without amperes', () => {
    const dim: Reading = {
      ...{ id: 'r', sourceId: live.pointId, contact: undefined, state: live.state },
      value: { kind: 'glow', glow: 'dim' },
    };
    expect(judgeCheck(live, [dim], AMPS)).toMatchObject({
      shows: 'lamp dim',
      look: [expect.stringMatching(/^Ground first/), expect.anything(), expect.anything()],
    });
    const weak: Reading = { ...dim, value: { kind: 'volts', volts: 9 } };
    expect(judgeCheck(live, [weak], 0)).toMatchObject({
      look: [expect.stringMatching(/^Ground/), expect.anything(), expect.anything()],
    });
  });

  it('a dark lamp proves no ground: it is as dark over two volts', () => {
    const dark: Reading = {
      ...{ id: 'r', sourceId: ground.pointId, contact: undefined, state: ground.state },
      value: { kind: 'glow', glow: 'dark' },
    };
    expect(judgeCheck(ground, [dark], AMPS).is).toBe('open');
    expect(judgeCheck(ground, [{ ...dark, value: { kind: 'volts', volts: 0.05 } }], AMPS).is).toBe(
      'passed',
    );
  });

  it('exactly at its limit it passes', () => {
    const at = (check: ProofCheck, volts: number) =>
      judgeCheck(
        check,
        [
          {
            id: 'r',
            sourceId: check.pointId,
            contact: undefined,
            state: check.state,
            value: { kind: 'volts', volts },
          },
        ],
        AMPS,
      ).is;
    expect(at(live, live.leastV ?? 0)).toBe('passed');
    expect(at(dead, 0.8)).toBe('passed');
    expect(at(dead, -0.8)).toBe('passed');
    expect(at(dead, 0.81)).toBe('failed');
  });
});

it('takes the checks of all leads state by state, fuses out late, risk and waiting last', () => {
  const lead = provedLead();
  const constant: ProvedLead = {
    ...lead,
    ...{ feed: { id: 'memory', role: 'constant', currentA: 1 }, of: 'constant', ground: false },
  };
  const cranking = { ...lead, feed: { ...lead.feed, id: 'ignition', holdsCranking: true } };
  const checks = [constant, cranking, lead].flatMap(proofChecks).map((check) => ({ check }));
  const order = orderChecks(checks).map(({ check }) => check);
  const places = order.map(({ state }) => placeOf(state));
  const visits = places.filter((place, index) => place !== places[index - 1]);
  expect(visits).toEqual(['off', 'acc', 'run', 'lamps', 'crank', 'asleep']);
  const inRun = order.filter(({ state }) => placeOf(state) === 'run').map(({ spot }) => spot);
  expect(inRun.slice(-2)).toEqual(['endOriginalOut', 'endOriginalOut']);
  expect(inRun.indexOf('endOriginalOut')).toBe(inRun.length - 2);
});

describe('a check', () => {
  const [live, , dead] = proofChecks(provedLead());
  if (live === undefined || dead === undefined) throw new Error('no checks');
  const by = (check: typeof live, value: Reading['value'], more: Partial<Reading> = {}) =>
    judgeCheck(
      check,
      [
        {
          id: 'r',
          sourceId: check.pointId,
          contact: undefined,
          state: check.state,
          value,
          ...more,
        },
      ],
      AMPS,
    ).is;

  it('passes by a lamp that is lit or dark, and not by one that is dim', () => {
    expect(by(live, { kind: 'glow', glow: 'lit' })).toBe('passed');
    expect(by(live, { kind: 'glow', glow: 'dim' })).toBe('failed');
    expect(by(live, { kind: 'glow', glow: 'pulsing' })).toBe('failed');
    expect(by(dead, { kind: 'glow', glow: 'dark' })).toBe('passed');
    expect(by(dead, { kind: 'glow', glow: 'dim' })).toBe('failed');
  });

  it('is open without a reading of its own: at this point, in this state, from ground, in volts', () => {
    expect(judgeCheck(live, [], AMPS).is).toBe('open');
    const volts = { kind: 'volts', volts: 12.3 } as const;
    expect(by(live, volts, { sourceId: 'F1' })).toBe('open');
    expect(by(live, volts, { state: stateAt('off') })).toBe('open');
    expect(by(live, volts, { clip: 'constant' })).toBe('open');
    expect(by(live, { kind: 'ohms', ohm: 3 })).toBe('open');
  });

  it('goes by the newest reading', () => {
    const at = (id: string, volts: number): Reading => ({
      ...{ id, sourceId: live.pointId, contact: undefined, state: live.state },
      value: { kind: 'volts', volts },
    });
    expect(judgeCheck(live, [at('old', 0), at('new', 12.2)], AMPS)).toMatchObject({
      is: 'passed',
      readingId: 'new',
    });
    expect(judgeCheck(live, [at('old', 12.2), at('new', 0)], AMPS).is).toBe('failed');
  });

  it('takes a minus sign for what it is: no live lead, and a dead one only near nothing', () => {
    expect(by(live, { kind: 'volts', volts: -12 })).toBe('failed');
    expect(by(dead, { kind: 'volts', volts: -12 })).toBe('failed');
  });

  it('of a source that nobody measured allows more', () => {
    const [unmeasured] = proofChecks({ ...provedLead(), sourceV: {} });
    expect(unmeasured?.because).toMatch(/usually 12\.30 V/);
    expect(unmeasured?.leastV).toBeCloseTo(12.3 - 0.36 - 0.85 - AMPS * 0.05, 6);
  });

  it('has none for a signal, which the device itself proves', () => {
    const lead = provedLead();
    expect(proofChecks({ ...lead, feed: { ...lead.feed, role: 'lock' } })).toEqual([]);
  });
});

describe('a converter', () => {
  const feed = { id: 'switched', role: 'switched', currentA: 2.9, outputV: 5 } as const;
  const check = proofChecks({ ...provedLead(), feed }).find(({ spot }) => spot === 'output');
  const read = (value: Reading['value']): Reading => ({
    ...{
      id: 'r',
      sourceId: check?.pointId ?? '',
      contact: undefined,
      state: stateAt('run'),
      value,
    },
  });
  const standing = (volts: number) =>
    check === undefined ? undefined : judgeCheck(check, [read({ kind: 'volts', volts })], 2.9);

  it('is read at what it gives; a feed without one is not', () => {
    expect(check && checkTitle(check)).toBe('Converter’s output: run');
    // USB 2.0: 4.75 to 5.25 V (from memory).
    expect(check && checkLimit(check)).toBe('4.75 to 5.25 V');
    expect(proofChecks(provedLead()).some(({ spot }) => spot === 'output')).toBe(false);
  });

  it.each([
    [4.74, 'failed', /overloaded/],
    [4.75, 'passed', undefined],
    [5.25, 'passed', undefined],
    [5.26, 'failed', /Above its volts/],
    [0, 'failed', /input first/],
  ] as const)('at %s V has %s', (volts, is, look) => {
    const found = standing(volts);
    expect(found?.is).toBe(is);
    if (found?.is === 'failed') expect(found.look.join(' ')).toMatch(look ?? /./);
  });

  it('is not told by a lamp', () => {
    const lit = read({ kind: 'glow', glow: 'lit' });
    expect(check && judgeCheck(check, [lit], 2.9).is).toBe('open');
  });
});
