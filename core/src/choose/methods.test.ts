import type { JoinGiven, JoinMethod, JoinPlace } from './index';
import { JOIN_METHODS, METHOD_FACTS, chooseMethod } from './index';

const GIVEN: JoinGiven = {
  ...{ place: 'wire', currentA: 1, addedMm2: 0.75, carMm2: 0.75, reversible: 'any' },
  ...{ circuit: 'power', school: 'crimp only', tapFits: true, adapterExists: true },
};
const at = (place: JoinPlace, more: Partial<JoinGiven> = {}) =>
  chooseMethod({ ...GIVEN, place, ...more });
const placeOf = (method: JoinMethod): JoinPlace => METHOD_FACTS[method].places[0] as JoinPlace;

// What each way is good for, common practice.
it.each<[JoinPlace, string]>([
  ['slot', 'fuseTap'],
  ['wire', 'crimpPlain crimpSealed displacementTap inlineFusedTap solderShrink'],
  ['connector', 'crimpPlain crimpSealed plugHarness solderShrink'],
  ['stud', 'busBarRing'],
  ['relaySocket', 'relaySpade'],
  ['mirror', 'mirrorPlug'],
  ['socket', 'hiddenSocket'],
])('at a %s there is: %s', (place, methods) => {
  expect(
    at(place)
      .ranked.map(({ method }) => method)
      .sort(),
  ).toEqual(methods.split(' '));
});

it.each<[JoinMethod, string, string]>([
  ['fuseTap', 'fuse tap', 'crimping tool'],
  ['plugHarness', 'plug-in harness', ''],
  ['mirrorPlug', 'mirror plug harness', ''],
  ['relaySpade', 'spade in an unused relay socket', 'crimping tool'],
  ['busBarRing', 'ring at a stud or bus bar', 'crimping tool, spanner'],
  ['inlineFusedTap', 'in-line fused splice', 'crimping tool, wire stripper'],
  ['crimpSealed', 'adhesive-lined crimp splice', 'crimping tool, wire stripper, heat gun'],
  ['crimpPlain', 'plain crimp splice', 'crimping tool, wire stripper'],
  ['solderShrink', 'solder and heat-shrink', 'soldering iron, wire stripper, heat gun'],
  ['displacementTap', 'insulation-displacement tap', ''],
  ['hiddenSocket', 'hidden socket for the kit’s own plug', 'crimping tool'],
])('%s is called %s and wants: %s', (method, name, tools) => {
  const { ranked, refused } = at(placeOf(method), { tools: [] });
  const one = [...ranked, ...refused].find((other) => other.method === method);
  expect(one?.name).toBe(name);
  expect(refused.find((other) => other.method === method)?.constraint).toBe(
    tools === '' ? undefined : `Missing: ${tools}.`,
  );
});

/** Ways for which something holds, by their names. */
const those = (holds: (method: JoinMethod) => boolean): string =>
  JOIN_METHODS.filter(holds).join(' ');
const offered = (method: JoinMethod, more: Partial<JoinGiven>) =>
  at(placeOf(method), more).ranked.find((one) => one.method === method);

it('knows which ways stand water, shaking and heat', () => {
  expect(those((method) => offered(method, { moist: true }) !== undefined)).toBe(
    // In a slot the box keeps the water off.
    'fuseTap busBarRing crimpSealed solderShrink',
  );
  expect(
    those((method) => /It shakes here/.test(String(offered(method, { vibrates: true })?.cautions))),
  ).toBe('solderShrink displacementTap');
  const stands = (heatC: number): string =>
    those((method) => offered(method, { heatC, carMm2: undefined }) !== undefined);
  expect(stands(80)).toBe(JOIN_METHODS.join(' '));
  expect(stands(85).split(' ')).not.toContain('displacementTap');
  expect(stands(105)).toBe('busBarRing crimpSealed crimpPlain solderShrink');
  expect(stands(125)).toBe('busBarRing crimpSealed solderShrink');
  expect(stands(126)).toBe('');
});

it('knows which ways leave a trace, cut, are the last resort, and bring their own fuse', () => {
  expect(those((method) => offered(method, { reversible: 'no trace' }) !== undefined)).toBe(
    'fuseTap plugHarness mirrorPlug relaySpade busBarRing hiddenSocket',
  );
  expect(
    those((method) => offered(method, {})?.why.includes('The car’s wire is cut.') === true),
  ).toBe('inlineFusedTap crimpSealed crimpPlain');
  expect(those((method) => offered(method, {})?.lastResort === true)).toBe('displacementTap');
  expect(those((method) => offered(method, {})?.wantsFuse === false)).toBe(
    'fuseTap inlineFusedTap',
  );
});

it('knows which car’s wires a way grips', () => {
  const grips = (carMm2: number): string =>
    at('wire', { carMm2, presentA: 0 })
      .ranked.map(({ method }) => method)
      .sort()
      .join(' ');
  expect(grips(0.22)).toBe('solderShrink');
  expect(grips(0.35)).toBe('crimpSealed solderShrink');
  expect(grips(0.5)).toBe('crimpPlain crimpSealed displacementTap inlineFusedTap solderShrink');
  expect(grips(2.5)).toBe(grips(0.5));
  expect(grips(4)).toBe('crimpPlain crimpSealed inlineFusedTap solderShrink');
  expect(grips(10)).toBe('');
});
