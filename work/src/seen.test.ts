import type { SlotSeen } from '@lucky-thread/contract';
import type { Place } from '@lucky-thread/core/vehicle';
import fc from 'fast-check';
import { foundPanel, panelInHand, seenBy, seenId, withSlot } from './seen';

const seen = (position: string, more: Partial<SlotSeen> = {}): SlotSeen => ({
  placeId: 'dash',
  position,
  ...more,
});
const PANEL: Place = withSlot(foundPanel('dash'), seen('F1', { legend: 'ACC', ratingA: 10 }));
const slotsIn = (model: { readonly places: readonly Place[] }) =>
  model.places.flatMap((place) => place.sources);

describe('a model as one job saw it', () => {
  it('has what differs here, and keeps the rest and the model itself as they are', () => {
    const model = { places: [{ ...PANEL, sources: PANEL.sources.map(withEntry) }] };
    const other = seenBy(model, { seen: [seen('F1', { legend: 'IG1' })] });
    expect(slotsIn(other)[0]).toMatchObject({ legend: 'IG1', ratingA: undefined });
    // What the handbook says of another legend holds no longer; of the same legend it does.
    expect(slotsIn(other)[0]).not.toHaveProperty('handbook');
    const same = seenBy(model, { seen: [seen('F1', { legend: 'ACC', ratingA: 15 })] });
    expect(slotsIn(same)[0]).toMatchObject({ ratingA: 15, handbook: 'Accessory' });
    expect(seenBy(model, { seen: [] })).toBe(model);
    expect(slotsIn(model)[0]).toMatchObject({ legend: 'ACC', ratingA: 10 });
  });

  function withEntry(source: Place['sources'][number]) {
    return source.kind === 'slot' ? { ...source, handbook: 'Accessory' } : source;
  }

  it('has a panel where nobody had entered one, and slots in cells of their own', () => {
    const all = fc.uniqueArray(fc.stringMatching(/^F[1-9][0-9]?$/), {
      minLength: 1,
      maxLength: 40,
    });
    fc.assert(
      fc.property(all, fc.boolean(), (positions, known) => {
        const model = seenBy(
          { places: known ? [PANEL] : [] },
          { seen: positions.map((position) => seen(position)) },
        );
        expect(model.places).toHaveLength(1);
        const slots = slotsIn(model).filter((source) => source.kind === 'slot');
        const cells = slots.map(({ column, row }) => `${column}/${row}`);
        expect(new Set(cells).size).toBe(slots.length);
        const ids = new Set(slots.map((slot) => slot.id));
        expect(positions.every((position) => ids.has(seenId(seen(position))))).toBe(true);
        const [place] = model.places;
        for (const { column, row } of slots) {
          expect(column).toBeLessThan(place?.columns ?? 0);
          expect(row).toBeLessThan(place?.rows ?? 0);
        }
      }),
    );
  });

  it('has a new slot built like its neighbours', () => {
    const maxi = {
      ...PANEL,
      sources: PANEL.sources.map((one) =>
        one.kind === 'slot' ? { ...one, family: 'maxi' as const } : one,
      ),
    };
    const [, added] = slotsIn(seenBy({ places: [maxi] }, { seen: [seen('F2')] }));
    expect(added).toMatchObject({ family: 'maxi', column: 1, row: 0 });
  });

  it('puts a slot in hand into the first panel, or into one that is now come upon', () => {
    const loom: Place = { ...foundPanel('kick'), kind: 'loom' };
    expect(panelInHand({ places: [loom, PANEL] })).toBe('dash');
    expect(panelInHand({ places: [loom] })).toBe('panel');
  });
});
