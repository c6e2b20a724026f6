import fc from 'fast-check';
import { judge, readLabel } from '../identify';
import type { Reading, Verdict } from '../identify';
import type { Slot, StitchPlace } from '../vehicle';
import { stateAt } from '../vehicle';
import type { ContactReading } from './index';
import {
  headroom,
  orientationFrom,
  originalLoad,
  rankCandidates,
  screenSlot,
  tapCurrents,
  tapFit,
} from './index';

function slot(id: string, legend: string | undefined, more: Partial<Slot> = {}): Slot {
  return {
    id,
    position: id,
    legend,
    ratingA: 10,
    family: 'mini',
    column: 0,
    row: 0,
    lie: 'tall',
    contacts: [
      { id: 'a', landmark: 'upper' },
      { id: 'b', landmark: 'lower' },
    ],
    clearance: 'clear',
    ...more,
  };
}

function verdictOf(of: Slot, rows: readonly (readonly [StitchPlace, number])[]): Verdict {
  const readings = rows.map(([place, volts], index): Reading => ({
    id: `r${index}`,
    sourceId: of.id,
    contact: undefined,
    state: stateAt(place),
    value: { kind: 'volts', volts },
  }));
  return judge(
    { id: of.id, name: of.id, legend: of.legend, fitted: true, tappable: true, logged: undefined },
    readings,
  );
}

function contact(id: 'a' | 'b', volts: number): ContactReading {
  return { contact: id, state: stateAt('run'), value: { kind: 'volts', volts } };
}

describe('orientationFrom', () => {
  it('takes the live contact for the supply side', () => {
    expect(orientationFrom([contact('a', 0.01), contact('b', 12.4)])).toEqual({
      kind: 'found',
      supply: 'b',
    });
  });
  it.each([
    ['backFeed', 12.3, 12.4],
    ['bothDead', 0, 0.02],
    ['unclear', 12.3, 4],
  ] as const)('tells %s apart and says what to do', (kind, a, b) => {
    expect(orientationFrom([contact('a', a), contact('b', b)])).toMatchObject({
      kind,
      advice: expect.stringMatching(/.{20,}/),
    });
  });
  it('wants both contacts, and takes the latest of each', () => {
    expect(orientationFrom([contact('a', 12)]).kind).toBe('incomplete');
    const mended = [contact('a', 0), contact('b', 0), contact('a', 12.4)];
    expect(orientationFrom(mended)).toEqual({ kind: 'found', supply: 'a' });
  });
});

describe('tapCurrents', () => {
  // Kirchhoff's current law; which fuse carries what is common practice.
  it('loads the original fuse with both the wrong way round', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (original, added) => {
          const right = tapCurrents(original, added, true);
          const wrong = tapCurrents(original, added, false);
          expect(right).toEqual({
            originalFuseA: original,
            addedFuseA: added,
            addedLiveWithOriginalOut: true,
          });
          expect(wrong.originalFuseA).toBeCloseTo(original + added, 9);
          expect(wrong.addedLiveWithOriginalOut).toBe(false);
        },
      ),
    );
  });
});

describe('tapFit', () => {
  it.each([
    ['mini', 'clear', 10, true],
    ['micro2', 'tight', 10, true],
    ['mini', 'none', 10, false],
    ['maxi', 'clear', 40, false],
    ['mini', 'clear', undefined, false],
  ] as const)('%s, %s, %p A: fits %p', (family, clearance, ratingA, fits) => {
    const fit = tapFit({ family, clearance, ratingA });
    expect(fit.fits).toBe(fits);
    expect(fit.note).toMatch(/\.$/);
  });
});

describe('rankCandidates', () => {
  const constantRows = [
    ['off', 12.5],
    ['run', 12.5],
    ['asleep', 12.5],
  ] as const;
  const rank = (
    slots: readonly Slot[],
    proven: readonly string[],
    logged: readonly string[] = [],
  ) =>
    rankCandidates({
      slots,
      verdicts: new Map(
        slots.map((one) => [one.id, verdictOf(one, proven.includes(one.id) ? constantRows : [])]),
      ),
      need: { id: 'memory', role: 'constant' },
      currentA: 0.5,
      loggedSourceIds: new Set(logged),
    });

  it('blocks by the legend whatever the readings say, with the reason', () => {
    const { candidates, blocked } = rank([slot('F1', 'A/BAG'), slot('F2', 'BAT')], ['F1', 'F2']);
    expect(candidates.map((one) => one.sourceId)).toEqual(['F2']);
    expect(blocked).toEqual([{ sourceId: 'F1', reason: expect.stringContaining('Airbag') }]);
  });

  it('puts the proven one before the merely likely one, and says so', () => {
    const { candidates } = rank([slot('F1', 'BAT'), slot('F2', 'MEMORY')], ['F2']);
    expect(candidates.map((one) => one.sourceId)).toEqual(['F2', 'F1']);
    expect(candidates[0]?.because).toMatch(/^Proven by readings/);
    expect(candidates[1]?.cautions.join()).toMatch(/Not proven/);
  });

  it('offers nothing where damage is known, with what it is', () => {
    const slots = [slot('F1', 'BAT'), slot('F2', 'MEMORY')];
    const verdicts = new Map(slots.map((one) => [one.id, verdictOf(one, constantRows)]));
    const ask = (damage?: Readonly<Record<string, string>>) =>
      rankCandidates({
        ...{ slots, verdicts, damage, currentA: 0.5, loggedSourceIds: new Set<string>() },
        need: { id: 'memory', role: 'constant' },
      });
    expect(ask().candidates).toHaveLength(2);
    const { candidates, unfit } = ask({ F2: 'contact melts' });
    expect(candidates.map((one) => one.sourceId)).toEqual(['F1']);
    expect(unfit).toMatchObject([
      { sourceId: 'F2', constraint: 'Known damage here: contact melts' },
    ]);
  });

  it('puts a logged one first among equals, then goes by position', () => {
    const slots = [slot('F1', 'BAT'), slot('F2', 'BAT'), slot('F3', 'BAT')];
    expect(rank(slots, []).candidates.map((one) => one.sourceId)).toEqual(['F1', 'F2', 'F3']);
    expect(rank(slots, [], ['F3']).candidates[0]?.sourceId).toBe('F3');
  });

  it('prefers a harmless, readable legend with room over cautious, missing or tight ones', () => {
    const slots = [
      slot('F1', 'HORN'),
      slot('F2', undefined),
      slot('F3', 'BAT', { clearance: 'tight' }),
      slot('F4', 'BAT'),
    ];
    expect(rank(slots, ['F1', 'F2', 'F3', 'F4']).candidates.map((one) => one.sourceId)).toEqual([
      'F4',
      'F3',
      'F1',
      // Unknown is not harmless: after the one that only warns.
      'F2',
    ]);
  });

  it('says what is likely, in what slot, and what goes in there', () => {
    const [first, second] = rank(
      [slot('F1', 'BAT'), slot('F2', 'MEMORY')],
      ['F1'],
      ['F1'],
    ).candidates;
    expect(first?.because).toMatch(
      /^Proven by readings, in the log of this model, 10 A slot, takes a /,
    );
    expect(second?.because).toBe(
      second === undefined
        ? ''
        : `${Math.round(100 * second.meets)} % by what is known, 10 A slot, takes a ${second.fit?.holder.name ?? ''}; the cover closes.`,
    );
    expect(second?.meets).toBeGreaterThan(0.5);
    expect(second?.meets).toBeLessThan(1);
  });

  it('shows nothing that hardly serves, nor a slot that nobody knows the fuse of', () => {
    const ignition = [
      ['off', 0.01],
      ['run', 12.2],
      ['asleep', 0.01],
    ] as const;
    const slots = [slot('F1', 'BAT'), slot('F2', 'BAT', { ratingA: undefined })];
    const verdicts = new Map(slots.map((one) => [one.id, verdictOf(one, ignition)]));
    const need = { id: 'memory', role: 'constant' } as const;
    const given = { slots, need, currentA: 0.5, loggedSourceIds: new Set<string>() };
    expect(rankCandidates({ ...given, verdicts })).toEqual({
      candidates: [],
      blocked: [],
      unfit: [],
    });
    expect(rankCandidates({ ...given, verdicts: new Map() }).candidates).toEqual([]);
  });

  it('wants a clamp where only the fuse speaks, and names limit and way out where it is too much', () => {
    const slots = [slot('F1', 'BAT')];
    const verdicts = new Map(slots.map((one) => [one.id, verdictOf(one, constantRows)]));
    const ask = (currentA: number, measuredA?: number) =>
      rankCandidates({
        ...{ slots, verdicts, currentA, loggedSourceIds: new Set<string>() },
        need: { id: 'memory', role: 'constant' },
        ...(measuredA === undefined ? {} : { measuredA: { F1: measuredA } }),
      });
    const [open] = ask(3).candidates;
    expect(open?.headroom.verdict).toBe('measure');
    expect(open?.cautions).toContain(
      `${open?.headroom.text ?? ''} ${open?.headroom.wayOut ?? ''}`.trim(),
    );
    const [known] = ask(3, 1).candidates;
    expect([known?.headroom.verdict, known?.cautions]).toEqual(['ok', []]);
    expect((known?.score ?? 0) - (open?.score ?? 0)).toBeCloseTo(0.35, 9);
    const { candidates, unfit } = ask(3, 9.5);
    expect(candidates).toEqual([]);
    expect(unfit).toEqual([
      {
        sourceId: 'F1',
        constraint: expect.stringMatching(/12\.5 A/),
        wayOut: expect.stringMatching(/\w/),
      },
    ]);
  });

  it('calls a slot without a legend unknown', () => {
    expect(screenSlot({ legend: undefined }).class).toBe('unknown');
  });
});

describe('the usual load of a circuit', () => {
  // The meaning must be one that legends are read as, or the load of the class is never found.
  it.each([
    ['USB', 3],
    ['DOME', 1.5],
    ['RADIO', 5],
    ['RR DEF', 16],
  ])('is known for %s: %d A', (legend, amps) => {
    const { meaning } = readLabel(legend);
    expect(originalLoad({ ratingA: 25, meaning })).toEqual({ amps, basis: 'class' });
  });

  it('that a clamp has shown to be too much is refused, not measured again', () => {
    const slot = { family: 'mini', ratingA: 10 } as const;
    const measured = originalLoad({ ratingA: 10, measuredA: 8 });
    expect(headroom(slot, measured, 3)).toMatchObject({ verdict: 'refused', togetherA: 11 });
    expect(headroom(slot, originalLoad({ ratingA: 10 }), 3).verdict).toBe('measure');
  });
});
