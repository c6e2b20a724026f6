import { advise } from '@lucky-thread/core/identify';
import type { Verdict } from '@lucky-thread/core/identify';
import type { Source, StitchPlace } from '@lucky-thread/core/vehicle';
import { PARKED, stateAt } from '@lucky-thread/core/vehicle';
import { Problem } from '../http/problem';
import { checkPrint } from './printCheck';

function slot(legend: string): Source {
  return {
    ...{ kind: 'slot', id: 'dash/F1', placeId: 'dash', position: 'F1', legend },
    ...{ family: 'mini', ratingA: 10, fitted: true, clearance: 'free', supplyLandmark: undefined },
  } as unknown as Source;
}

/** What readings of battery voltage and of none make of a slot. */
function judged(source: Source, shown: Partial<Record<StitchPlace, number>>): Verdict {
  const { verdicts } = advise({
    sources: [
      {
        ...{
          id: source.id,
          name: 'F1',
          legend: source.kind === 'slot' ? source.legend : undefined,
          fitted: true,
        },
        ...{ tappable: true, logged: undefined },
      },
    ],
    readings: Object.entries(shown).map(([place, volts]) => ({
      ...{ id: place, sourceId: source.id, contact: undefined },
      ...{ state: stateAt(place as StitchPlace), value: { kind: 'volts', volts } },
    })),
    state: PARKED,
    needs: [],
  });
  return verdicts[0] as Verdict;
}

const HELD = { off: 0.01, acc: 0.02, run: 12.2, crank: 10.4, engine: 14.1 };

it('asks why a lighter was taken that is dead at accessory and holds through cranking', () => {
  const lighter = slot('CIG LTR');
  const check = (reason: string | undefined) => () =>
    checkPrint(lighter, judged(lighter, HELD), reason);
  let refused: unknown;
  try {
    check(undefined)();
  } catch (error) {
    refused = error;
  }
  expect(refused).toBeInstanceOf(Problem);
  expect((refused as Problem).document).toMatchObject({
    status: 422,
    errors: [{ path: 'reason', message: expect.stringMatching(/speak against.*\d+\s%/) }],
  });
  expect(check('the wiring diagram names it')).not.toThrow();
});

it('asks nothing where the print fits, nor at what is no slot', () => {
  const meter = slot('METER');
  expect(() => checkPrint(meter, judged(meter, HELD), undefined)).not.toThrow();
  const lighter = slot('CIG LTR');
  const wire = { ...lighter, kind: 'wire' } as unknown as Source;
  expect(() => checkPrint(wire, judged(lighter, HELD), undefined)).not.toThrow();
});
