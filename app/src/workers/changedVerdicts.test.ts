import type { FindSession, Reading } from '@lucky-thread/core/identify';
import { advise, newAdviser } from '@lucky-thread/core/identify';
import { PARKED, stateAt } from '@lucky-thread/core/vehicle';
import fc from 'fast-check';
import type { Teller, ToldAdvice } from './changedVerdicts';
import { hearsChanges, tellsChanges } from './changedVerdicts';

const SLOTS = ['F1', 'F2', 'F3', 'F4'];
const LEGENDS = ['BAT', 'ACC', undefined, 'CIG'];

/** A session in which the slots of a list were read, live or dead. */
function sessionOf(read: readonly (readonly [number, boolean])[], slots = 4): FindSession {
  return {
    sources: SLOTS.slice(0, slots).map((id, index) => ({
      ...{ id, name: id, legend: LEGENDS[index], fitted: true, tappable: true, logged: undefined },
    })),
    readings: read
      .filter(([slot]) => slot < slots)
      .map(([slot, live], index): Reading => ({
        id: `r${index}`,
        sourceId: SLOTS[slot] ?? '',
        contact: undefined,
        state: stateAt(index % 2 === 0 ? 'off' : 'run'),
        value: { kind: 'volts', volts: live ? 12.4 : 0 },
      })),
    state: PARKED,
    needs: [{ id: 'memory', role: 'constant' }],
  };
}

/** A line to a worker that clones what it carries, as the browser does; a broken one is taken up by another worker. */
function line() {
  let teller = tellsChanges(newAdviser());
  const told: ToldAdvice[] = [];
  const ask: (...given: Parameters<Teller>) => Promise<ToldAdvice> = async (session, heard) => {
    const answer = structuredClone(teller(structuredClone(session), heard));
    told.push(answer);
    return answer;
  };
  return { told, hear: hearsChanges(ask), breakDown: () => (teller = tellsChanges(newAdviser())) };
}

const whole = ({ verdicts }: ToldAdvice): number =>
  verdicts.filter((one) => typeof one !== 'string').length;

describe('what a worker tells of its advice', () => {
  it('is every verdict at first, and then the ones that a touch changed', async () => {
    const { told, hear } = line();
    const first = await hear(sessionOf([]));
    const second = await hear(sessionOf([[1, true]]));
    expect(told.map(whole)).toEqual([4, 1]);
    expect(second.verdicts[0]).toBe(first.verdicts[0]);
    expect(second.verdicts[1]).not.toBe(first.verdicts[1]);
  });

  it('keeps the parts of the plan, and of a changed verdict, that say the same', async () => {
    const { hear } = line();
    const first = await hear(sessionOf([[1, true]]));
    const second = await hear({ ...sessionOf([[1, true]]), needs: [], cannot: ['crank'] });
    expect(second.tentative).toEqual({});
    const third = await hear({ ...sessionOf([[1, true]]), needs: [] });
    expect(third.next).toBe(second.next);
    const [, changed] = (
      await hear(
        sessionOf([
          [1, true],
          [1, true],
        ]),
      )
    ).verdicts;
    expect(changed?.ranked).not.toBe(first.verdicts[1]?.ranked);
    expect(changed?.contradictions).toBe(first.verdicts[1]?.contradictions);
  });

  it('is everything again from a worker that was started anew', async () => {
    const { told, hear, breakDown } = line();
    await hear(sessionOf([]));
    breakDown();
    await hear(sessionOf([]));
    expect(told.map(whole)).toEqual([4, 4]);
  });

  it('builds on what was there when it was asked, also where another question was on its way', async () => {
    const { hear } = line();
    const readings = [[0, true]] as const;
    const [, second] = await Promise.all([hear(sessionOf(readings)), hear(sessionOf(readings))]);
    expect(second).toEqual(advise(sessionOf(readings)));
  });

  it('comes to the same advice as asking anew, whatever is read, laid open or broken meanwhile', async () => {
    const turn = fc.record({
      slot: fc.nat(3),
      live: fc.boolean(),
      slots: fc.integer({ min: 2, max: 4 }),
      breaks: fc.boolean(),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(turn, { maxLength: 8 }), async (turns) => {
        const { hear, breakDown } = line();
        const read: [number, boolean][] = [];
        for (const { slot, live, slots, breaks } of turns) {
          read.push([slot, live]);
          if (breaks) breakDown();
          const session = sessionOf(read, slots);
          expect(await hear(session)).toEqual(advise(session));
        }
      }),
      { numRuns: 40 },
    );
  });

  it('says which verdict is missing where a worker counts on one that is not here', async () => {
    const { turn, verdicts, ...rest } = tellsChanges(newAdviser())(sessionOf([]), undefined);
    const hear = hearsChanges(async () => ({ ...rest, turn, verdicts: [verdicts[0] ?? '', 'F2'] }));
    await expect(hear(sessionOf([]))).rejects.toThrow('the worker left out F2');
  });
});
