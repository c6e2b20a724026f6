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
});
