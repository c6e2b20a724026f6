import type { StitchPlace } from '../../vehicle';
import type { Candidate, Round } from '../plan/orderOfVisits';
import { SAME_SECONDS, changeBetween, waste } from '../plan/orderOfVisits';
import { changeSeconds } from '../visit/workCosts';
import { visitState } from '../visit/visitState';

/** The cheapest order of visits by trying every order there is; what `cheapestOrder` is held against. */
export function plainOrder(
  candidates: readonly Candidate[],
  round: Round,
): { readonly seconds: number; readonly first: number } {
  const { places, share, standing } = round;
  const left = places.map((_, place) => place).filter((place) => isLeft(place, candidates, round));
  const before = share.size > 0 ? secondsOf([standing], candidates, { ...round, begins: true }) : 0;
  let best = { seconds: left.length === 0 ? 0 : Infinity, first: standing };
  for (const first of left) {
    const others = left.filter((one) => one !== first);
    const least = Math.min(
      ...ordersOf(others).map((rest) =>
        secondsOf([first, ...rest], candidates, { ...round, begins: false }),
      ),
    );
    if (least >= best.seconds - SAME_SECONDS) continue;
    best = { seconds: least, first: share.size === 0 ? first : standing };
  }
  return { seconds: before + best.seconds, first: best.first };
}

/** Whether a place wants a visit after those who are read where the car stands have been read. */
function isLeft(place: number, candidates: readonly Candidate[], round: Round): boolean {
  return candidates.some(
    ({ wanted }, index) =>
      (wanted & (1 << place)) !== 0 && !(place === round.standing && round.share.has(index)),
  );
}

/** Expected seconds of visits in a given order; `begins` when they are the reading where the car stands. */
function secondsOf(
  order: readonly number[],
  candidates: readonly Candidate[],
  round: Round & { readonly begins: boolean },
): number {
  const { places, standing } = round;
  let seconds = 0;
  order.forEach((place, position) => {
    const before = order.slice(0, position);
    const last = before[position - 1];
    if (last !== undefined) seconds += changeBetween(places[last], places[place]);
    else if (place !== standing)
      seconds += changeSeconds(round.state, visitState(places[place] as StitchPlace, round.state));
    candidates.forEach((one, index) => {
      const isRead = round.share.has(index);
      if (round.begins && !isRead) return;
      const visited = before.reduce((set, each) => set | (1 << each), 0) & one.wanted;
      const begun = !round.begins && isRead && standing >= 0 ? 1 << standing : 0;
      seconds += waste(one, visited | begun, { place, places });
    });
  });
  return seconds;
}

function ordersOf(places: readonly number[]): number[][] {
  if (places.length === 0) return [[]];
  return places.flatMap((first) =>
    ordersOf(places.filter((one) => one !== first)).map((rest) => [first, ...rest]),
  );
}
