import fc from 'fast-check';
import { STITCH_PLACES, nextState, stateAt } from '../../vehicle';
import { tripTo } from './tripTo';
import { visitState } from './visitState';
import { changeSeconds } from './workCosts';

const places = fc.constantFrom(...STITCH_PLACES);

it('takes what the way takes when it is worked out afresh, however many trips lead there', () => {
  fc.assert(
    fc.property(places, fc.array(places, { maxLength: 4 }), fc.boolean(), (from, by, open) => {
      let state = nextState(stateAt(from), { kind: 'door', to: open ? 'open' : 'closed' });
      for (const place of by) {
        const trip = tripTo(place, state);
        expect(trip.state).toEqual(visitState(place, state));
        expect(trip.seconds).toBe(changeSeconds(state, trip.state));
        expect(tripTo(place, state)).toBe(trip);
        ({ state } = trip);
      }
    }),
    { numRuns: 200 },
  );
});
