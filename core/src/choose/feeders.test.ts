import type { Verdict } from '../identify';
import type { CircuitFunction, Joinable, Slot } from '../vehicle';
import { feedersOf } from './index';

const WIRE: Joinable = { kind: 'wire', id: 'radio/W1', name: 'W1' };
const slot = (id: string, legend: string | undefined, ratingA: number | undefined = 10) =>
  ({ id, position: id, legend, ratingA }) as unknown as Slot;

/** Verdicts as far as this question goes: the function, or the share that a legend gives it. */
function verdicts(of: Readonly<Record<string, readonly [CircuitFunction, number]>>) {
  return new Map(
    Object.entries(of).map(([id, [name, share]]) => [
      id,
      {
        status: share === 1 ? 'resolved' : 'unread',
        function: share === 1 ? name : undefined,
        posterior: { functions: { [name]: share } },
      } as unknown as Verdict,
    ]),
  );
}

function found(
  is: CircuitFunction,
  slots: readonly Slot[],
  of: Parameters<typeof verdicts>[0],
  source = WIRE,
) {
  const given = { slots, verdicts: verdicts({ ...of, [source.id]: [is, 1] }) };
  return feedersOf(source, given).map((one) => [one.slot.id, one.because]);
}

describe('fuses that may feed a wire', () => {
  it('are those that live with it, the likeliest first, and say why', () => {
    const slots = [slot('F1', 'CIG'), slot('F2', 'ROOM'), slot('F3', 'RADIO')];
    const of = { F1: ['accessory', 0.6], F2: ['constant', 1], F3: ['accessory', 1] } as const;
    expect(found('accessory', slots, of)).toEqual([
      ['F3', 'live when it must be'],
      ['F1', 'likely by its legend, not read yet'],
    ]);
    expect(found('constant', slots, of)).toEqual([['F2', 'live when it must be']]);
  });

  it('go first where the legend names what hangs on the wire', () => {
    const slots = [slot('F1', 'CIG'), slot('F2', 'CLOCK')];
    const of = { F1: ['constant', 1], F2: ['constant', 0.5] } as const;
    const wire = { ...WIRE, alsoFeeds: 'the clock' };
    expect(found('constant', slots, of, wire)[0]).toEqual([
      'F2',
      'its legend names what hangs on it, likely by its legend, not read yet',
    ]);
  });

  it('never are airbag, brakes and the like, an empty position, or one that hardly may', () => {
    const slots = [
      slot('F1', 'A/BAG'),
      slot('F2', 'ABS'),
      slot('F3', 'ROOM', undefined),
      slot('F4', 'ROOM'),
    ];
    const of = {
      F1: ['constant', 1],
      F2: ['constant', 1],
      F3: ['constant', 1],
      F4: ['constant', 0.2],
    } as const;
    expect(
      found(
        'constant',
        [...slots.slice(0, 2), { ...slots[2], ratingA: undefined } as Slot, ...slots.slice(3)],
        of,
      ),
    ).toEqual([]);
  });

  it('are harmless ones before those whose legend warns, unless these are much likelier', () => {
    const slots = [slot('F1', 'METER'), slot('F2', 'RADIO')];
    const order = (meter: number, radio: number): string =>
      found('accessory', slots, { F1: ['accessory', meter], F2: ['accessory', radio] })
        .map(([id]) => id)
        .join(' ');
    expect(order(0.9, 0.9)).toBe('F2 F1');
    expect(order(0.9, 0.5)).toBe('F2 F1');
    expect(order(0.9, 0.35)).toBe('F1 F2');
  });

  it('of a signal are those that feed its switch: ignition for reverse, the battery for the stop lamp', () => {
    const slots = [slot('F1', 'METER'), slot('F2', 'ROOM')];
    const of = { F1: ['ignitionRun', 1], F2: ['constant', 1] } as const;
    expect(found('reverse', slots, of).map(([id]) => id)).toEqual(['F1']);
    expect(found('stopLamp', slots, of).map(([id]) => id)).toEqual(['F2']);
  });

  it('are at most four, and none while nobody knows what the wire is', () => {
    const slots = Array.from({ length: 6 }, (_, at) => slot(`F${at}`, 'ROOM'));
    const of = Object.fromEntries(slots.map(({ id }) => [id, ['constant', 1] as const]));
    expect(found('constant', slots, of)).toHaveLength(4);
    expect(feedersOf(WIRE, { slots, verdicts: verdicts(of) })).toEqual([]);
  });
});
