import fc from 'fast-check';
import { QUANTITIES, shown } from './index';

describe('quantities', () => {
  it('come back as they were, whatever the system they are shown in', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('length', 'smallLength', 'temperature', 'mass'),
        fc.double({ min: -40, max: 300, noNaN: true }),
        (quantity, value) => {
          for (const face of Object.values(QUANTITIES[quantity as 'length']))
            expect(face.toSi(face.fromSi(value))).toBeCloseTo(value, 9);
        },
      ),
    );
  });

  // Exact by definition: the foot of 0.3048 m, the inch of 25.4 mm.
  it.each([
    ['length', 3.048, '3.05 m', '10 ft'],
    ['smallLength', 6.35, '6.3 mm', '0.25 in'],
    ['temperature', 100, '100 °C', '212 °F'],
    ['mass', 28.349523125, '28 g', '1 oz'],
  ] as const)('%s of %d is %s or %s', (quantity, value, metric, us) => {
    expect(shown(quantity, value, 'metric')).toBe(metric);
    expect(shown(quantity, value, 'us')).toBe(us);
  });
});
