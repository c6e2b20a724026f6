import { tapSteps } from './index';

const TAP = {
  at: 'slot',
  feedName: 'Supply',
  position: 'F5',
  family: 'mini',
  originalA: 15,
  fuseA: 3,
  awg: 18,
  supplyLandmark: 'door side',
  oneWayM: 3.2,
} as const;

describe('tapSteps', () => {
  const steps = tapSteps([TAP, { ...TAP, feedName: 'Memory', position: 'F6' }]);
  const at = (id: string): number => steps.findIndex((step) => step.id === id);

  it('keeps the order of the trade: route, ground, key off, far ends, one tap at a time, all added fuses last, prove before trim', () => {
    const order = [
      'mount',
      'ground',
      'off',
      'far-end',
      'lead-F5',
      'fit-F5',
      'lead-F6',
      'fit-F6',
      'fuse-F5',
      'fuse-F6',
      'prove',
      'close',
    ];
    expect(order.map(at)).toEqual(order.map((_, index) => index));
  });

  it('takes the battery off after reading and on before proving, where that is the shop’s school', () => {
    const order = tapSteps([TAP], 'disconnect first').map((step) => step.id);
    expect(order.indexOf('disconnect')).toBe(order.indexOf('off') + 1);
    expect(order.indexOf('reconnect')).toBe(order.indexOf('fuse-F5') - 1);
    expect(order.indexOf('fuse-F5')).toBe(order.indexOf('prove') - 1);
    expect(steps.some((step) => step.id === 'disconnect')).toBe(false);
  });

  it('names the supply side by its landmark, never as left or right', () => {
    expect(steps[at('fit-F5')]?.text).toContain('door side');
    for (const step of steps) expect(step.text).not.toMatch(/\b(left|right)\b/);
  });

  it('cautions where a fuse is pulled and where the lead becomes live', () => {
    expect(steps[at('off')]?.caution).toMatch(/Airbag/);
    expect(steps[at('fuse-F5')]?.caution).toMatch(/live/);
  });
});
