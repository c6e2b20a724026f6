import { UNTOUCHED, benchCar, tapCurrents as solvedCurrents } from '../bench';
import { tapCurrents } from '../choose';
import { stateAt } from '../vehicle';

/** The bench solves the network; the advice only adds currents. They must agree. */
describe('currents through a tap’s two fuses against the nodal solution', () => {
  const battery = { restV: 12.6, internalOhm: 0.001, crankingA: 200, chargingV: 14.2 };
  const circuit = {
    slotId: 'F1',
    supply: 'runContact' as const,
    supplyContact: 'a' as const,
    backFeed: undefined,
    blown: false,
    ghostV: 0,
  };

  it.each([
    [6, 6],
    [3, 12],
    [12, 4],
  ])('original load %d Ω, added load %d Ω, either way round', (loadOhm, addedLoadOhm) => {
    for (const lineBladeAt of ['a', 'b'] as const) {
      const car = benchCar(
        { battery, circuits: [{ ...circuit, loadOhm }], wires: [] },
        {
          ...UNTOUCHED,
          taps: [{ slotId: 'F1', lineBladeAt, originalFuseA: 10, addedFuseA: 10, addedLoadOhm }],
        },
      );
      const solved = solvedCurrents(car, 'F1', stateAt('run'));
      const said = tapCurrents(12.6 / loadOhm, 12.6 / addedLoadOhm, lineBladeAt === 'a');
      expect(solved.originalA / said.originalFuseA).toBeCloseTo(1, 1);
      expect(solved.addedA / said.addedFuseA).toBeCloseTo(1, 1);
    }
  });
});
