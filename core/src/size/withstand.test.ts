import fc from 'fast-check';
import { INSULATIONS_C, adiabaticLimitA2s, ampacityAtA, withstandS } from './index';

const laid = fc.record({
  areaMm2: fc.constantFrom(0.35, 0.5, 0.75, 1, 1.5, 2.5, 4, 6),
  insulation: fc.constantFrom(...INSULATIONS_C),
  around: fc.record({
    ambientC: fc.constantFrom(-20, 20, 40, 55),
    bundle: fc.constantFrom(1, 5, 12),
  }),
});

describe('how long a conductor stands a current', () => {
  // IEC 60364-5-54, from memory: "for good" ends at the ampacity, and 160 °C is for 5 s at most.
  it('is for good up to the ampacity and not beyond', () => {
    fc.assert(
      fc.property(laid, (lead) => {
        const carriesA = ampacityAtA(lead.areaMm2, lead.insulation, lead.around);
        expect(withstandS(lead, carriesA)).toBe(Infinity);
        expect(withstandS(lead, 1.001 * carriesA)).toBeLessThanOrEqual(240 * 3600);
      }),
    );
  });

  it('never grows with the current', () => {
    fc.assert(
      fc.property(
        laid,
        fc.double({ min: 0.5, max: 40, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        (lead, times, more) => {
          const currentA = times * ampacityAtA(lead.areaMm2, lead.insulation, lead.around);
          expect(withstandS(lead, more * currentA)).toBeLessThanOrEqual(withstandS(lead, currentA));
        },
      ),
    );
  });

  // Computed: heat lost to the air is k·A²-less at high currents, so I²t tends to k²A², k = 115 (IEC 60364-5-54).
  it('ends in the adiabatic limit', () => {
    const lead = { areaMm2: 2.5, insulation: 60, around: {} } as const;
    const currentA = 100 * ampacityAtA(2.5, 60);
    expect(withstandS(lead, currentA) * currentA ** 2).toBeCloseTo(adiabaticLimitA2s(2.5), -3);
  });

  // Computed from the heat balance: at 60 °C class in 30 °C air, 1.4 times the ampacity settles at 30 + 1.96·30 = 88.8 °C.
  it('lasts six hours where it settles 25 to 50 K above the class (ISO 6722-1, from memory)', () => {
    const lead = { areaMm2: 1, insulation: 60, around: {} } as const;
    const carriesA = ampacityAtA(1, 60);
    expect(withstandS(lead, 1.3 * carriesA)).toBe(240 * 3600);
    expect(withstandS(lead, 1.4 * carriesA)).toBe(6 * 3600);
    expect(withstandS(lead, 2 * carriesA)).toBeLessThan(60);
  });

  // Computed from the heat balance, one time constant k²A²/I²: 1 mm² at 60 °C class gets 50 K over it in 4 s, to 160 °C in 7 s.
  it('goes to 160 °C for 5 s at most, although it would take longer to get there', () => {
    const carriesA = ampacityAtA(1, 60);
    const constantS = adiabaticLimitA2s(1) / (carriesA ** 2 * (130 / 30));
    const times = Math.sqrt(80 / 30 / (1 - Math.exp(-4 / constantS)));
    const to160S = -constantS * Math.log(1 - 130 / 30 / times ** 2);
    expect(to160S).toBeGreaterThan(6);
    const lead = { areaMm2: 1, insulation: 60, around: {} } as const;
    expect(withstandS(lead, times * carriesA)).toBeCloseTo(5, 6);
  });

  it('is no time at all in air as hot as the insulation stands', () => {
    expect(withstandS({ areaMm2: 1, insulation: 60, around: { ambientC: 60 } }, 0.1)).toBe(0);
  });
});
