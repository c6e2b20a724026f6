import { planSwitching } from './index';

describe('relay and switch', () => {
  // Terminal numbers: DIN 72552 / ISO 7588, from memory.
  it('uses 30, 87, 85 and 86, with 87a for a load that is on while the trigger is off', () => {
    const plan = planSwitching({ currentA: 12, switchA: 3, trigger: 'positive' });
    expect(plan).toMatchObject({ ok: true, relay: true, triggerA: 0.169 });
    const rows = plan.ok
      ? Object.fromEntries(plan.relayTerminals.map((one) => [one.terminal, one.goesTo]))
      : {};
    expect(rows['87']).toBe('the load');
    expect(rows['85']).toBe('ground');
    const inverted = planSwitching({
      currentA: 5,
      switchA: 3,
      trigger: 'negative',
      inverted: true,
    });
    const turned = inverted.ok
      ? Object.fromEntries(inverted.relayTerminals.map((one) => [one.terminal, one.goesTo]))
      : {};
    expect(turned['87a']).toBe('the load');
    expect(turned['85']).toContain('ground when on');
  });

  it('does without a relay when the switch carries the load, and gives a lit switch its third terminal', () => {
    const plan = planSwitching({ currentA: 2, switchA: 10, trigger: 'positive', litSwitch: true });
    expect(plan).toMatchObject({ ok: true, relay: false });
    expect(plan.ok && plan.switchTerminals[2]?.goesTo).toMatch(/ground/);
  });

  it('refuses what no relay carries, and a trigger that can’t drive a coil', () => {
    expect(planSwitching({ currentA: 60, switchA: 3, trigger: 'positive' }).ok).toBe(false);
    expect(planSwitching({ currentA: 10, switchA: 0.05, trigger: 'positive' })).toMatchObject({
      ok: false,
      wayOut: expect.stringContaining('transistor'),
    });
  });

  /** Each terminal's row as one line. */
  const rowsOf = (given: Parameters<typeof planSwitching>[0]) => {
    const plan = planSwitching(given);
    if (!plan.ok) throw new Error(plan.problem);
    const said = (rows: typeof plan.switchTerminals): string[] =>
      rows.map((one) => `${one.terminal} ${one.what}: ${one.goesTo}`);
    return { relay: said(plan.relayTerminals), switch: said(plan.switchTerminals) };
  };

  // DIN 72552: 30 in, 87 and 87a out, 86 the coil's plus side where its polarity matters, 85 its other end; from memory.
  it('names what each terminal goes to, for a trigger that gives plus', () => {
    expect(rowsOf({ currentA: 12, switchA: 3, trigger: 'positive', litSwitch: true })).toEqual({
      relay: [
        '30 common contact: battery plus, through its own fuse',
        '87 normally open: the load',
        '87a normally closed: nothing: cap it',
        '86 coil: the trigger (plus when on)',
        '85 coil: ground',
      ],
      switch: [
        '1 supply: fused plus',
        '2 switched: relay 86',
        '3 lamp of the switch: ground: without it the switch works and stays dark',
      ],
    });
  });

  it('turns coil, switch and lamp round for a trigger that gives ground', () => {
    const given = { currentA: 2, switchA: 3, trigger: 'negative', litSwitch: true } as const;
    expect(rowsOf(given)).toEqual({
      relay: [
        '30 common contact: battery plus, through its own fuse',
        '87 normally open: the load',
        '87a normally closed: nothing: cap it',
        '86 coil: a fused plus',
        '85 coil: the trigger (ground when on)',
      ],
      switch: [
        '1 supply: ground',
        '2 switched: relay 85',
        '3 lamp of the switch: fused plus: without it the switch works and stays dark',
      ],
    });
    const upsideDown = rowsOf({ ...given, litSwitch: false, inverted: true });
    expect(upsideDown.relay.slice(1, 3)).toEqual([
      '87 normally open: nothing: cap it',
      '87a normally closed: the load',
    ]);
    expect(upsideDown.switch).toHaveLength(2);
  });

  it('lets the switch feed the load itself where it carries it, lamp and all', () => {
    const given = { currentA: 2, switchA: 10, trigger: 'positive', litSwitch: true } as const;
    expect(rowsOf(given).switch.slice(0, 2)).toEqual([
      '1 supply: fused plus',
      '2 switched: the load',
    ]);
    const [lit, dark] = [given, { ...given, litSwitch: false }].map(planSwitching);
    expect([lit, dark]).toMatchObject([{ ok: true }, { ok: true, triggerA: 2 }]);
    expect(lit?.ok === true && lit.triggerA).toBeGreaterThan(2);
  });

  it.each([
    [
      { currentA: 12, switchA: 3 },
      '12 A is more than the 3 A of the switch: it only drives the coil.',
    ],
    [
      { currentA: 2, peakA: 7, switchA: 3 },
      '2 A, 7 A at switching on, is more than the 3 A of the switch: it only drives the coil.',
    ],
    [
      { currentA: 2, switchA: 3, inverted: true },
      'The load is live while the trigger is off: only a relay’s 87a does that.',
    ],
    [{ currentA: 3, peakA: 6, switchA: 3 }, '3 A is within the 3 A of the switch.'],
  ])('says why: %o', (given, because) => {
    expect(planSwitching({ ...given, trigger: 'positive' })).toMatchObject({ ok: true, because });
  });

  it('says why a trigger that gives ground wants a relay for a load that wants plus', () => {
    expect(planSwitching({ currentA: 1, switchA: 3, trigger: 'negative' })).toMatchObject({
      relay: true,
      because: 'The trigger gives ground, the load wants plus: a relay turns it round.',
    });
  });

  // The changeover contact of a common 40/30 A relay carries less at rest than when pulled in; common practice.
  it('warns of the coil’s spike, the fuse at the battery and the open 87a', () => {
    const cautions = (inverted: boolean): readonly string[] => {
      const plan = planSwitching({ currentA: 5, switchA: 3, trigger: 'positive', inverted });
      return plan.ok ? plan.cautions : [];
    };
    expect(cautions(false)).toEqual([
      expect.stringMatching(/spike.*resistor or a diode/),
      expect.stringMatching(/30 gets its own fuse near the battery/),
      '87a stays open: cap it.',
    ]);
    expect(cautions(true)).toHaveLength(2);
    const most = (inverted: boolean): number =>
      Array.from({ length: 60 }, (_, at) => at + 1).findLast(
        (currentA) => planSwitching({ currentA, switchA: 3, trigger: 'positive', inverted }).ok,
      ) ?? 0;
    expect(most(true)).toBeLessThan(most(false));
    expect(planSwitching({ currentA: 60, switchA: 3, trigger: 'positive' })).toMatchObject({
      problem: expect.stringMatching(/normally open contact/),
      wayOut: 'Split the load over two relays, or take a continuous-duty solenoid.',
    });
    expect(
      planSwitching({ currentA: 60, switchA: 3, trigger: 'positive', inverted: true }),
    ).toMatchObject({ problem: expect.stringMatching(/normally closed contact/) });
  });

  it.each(['currentA', 'switchA', 'peakA', 'coilA'])('names %s when it is no current', (field) => {
    const given = { currentA: 2, switchA: 3, trigger: 'positive', [field]: -1 } as const;
    expect(() => planSwitching(given)).toThrow(RangeError);
    expect(() => planSwitching({ ...given, [field]: Number.NaN })).toThrow(RangeError);
  });
});
