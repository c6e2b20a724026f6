import type { JoinGiven, JoinMethod } from './index';
import { METHOD_FACTS, chooseMethod, plugEndedKit } from './index';

const WIRE: JoinGiven = {
  place: 'wire',
  currentA: 2,
  carMm2: 0.75,
  addedMm2: 0.75,
  reversible: 'any',
  circuit: 'power',
  school: 'crimp only',
};
const refusalOf = (method: JoinMethod, more: Partial<JoinGiven>) =>
  chooseMethod({ ...WIRE, ...more }).refused.find((one) => one.method === method);
const choiceOf = (method: JoinMethod, more: Partial<JoinGiven> = {}) =>
  chooseMethod({ ...WIRE, ...more }).ranked.find((one) => one.method === method);

describe('a way to join that is refused names its limit and a way out', () => {
  it.each<[JoinMethod, Partial<JoinGiven>, RegExp, RegExp]>([
    [
      'crimpSealed',
      { circuit: 'restraint' },
      /^Airbag and belt circuits are never joined\.$/,
      /another circuit/,
    ],
    ['solderShrink', { circuit: 'data' }, /^A data pair is not joined by hand\.$/, /plugs in/],
    [
      'crimpSealed',
      { alert: 'corroded pins' },
      /^Known damage here: corroded pins\.$/,
      /slot in the fuse box/,
    ],
    [
      'fuseTap',
      { place: 'slot', alert: 'molten', tapFits: true },
      /^Known damage here: molten\.$/,
      /another slot/,
    ],
    [
      'crimpSealed',
      { currentA: 30, carMm2: undefined },
      /^30 A is more than the \d+ A of a /,
      /relay/,
    ],
    ['crimpSealed', { reversible: 'no trace' }, /must leave no trace/, /plug-in harness/],
    [
      'crimpSealed',
      { reversible: 'mended' },
      /^The car’s wire must not be cut\.$/,
      /Solder onto it/,
    ],
    [
      'displacementTap',
      { carMm2: 8 },
      /^The car’s 8 mm² wire is out of its /,
      /made for that wire/,
    ],
    ['displacementTap', { moist: true }, /^It is not tight against water\.$/, /sealed splice/],
    ['crimpPlain', { heatC: 120 }, /^120 °C is more than its \d+ °C\.$/, /farther from the heat/],
    [
      'crimpSealed',
      { roomMm: 3 },
      /^It needs \d+ mm of room, there are 3\.$/,
      /Open the sheath farther/,
    ],
    [
      'plugHarness',
      { place: 'connector' },
      /^No harness for this connector is known\.$/,
      /Splice behind it/,
    ],
    [
      'solderShrink',
      { tools: ['crimper', 'stripper'] },
      /^Missing: soldering iron, heat gun\.$/,
      /Get the tool/,
    ],
    ['crimpSealed', { tools: ['iron', 'heatGun'] }, /^Missing: .*crimping tool/, /does without/],
  ])('%s: %o', (method, more, constraint, wayOut) => {
    expect(refusalOf(method, more)).toMatchObject({
      name: METHOD_FACTS[method].name,
      constraint: expect.stringMatching(constraint),
      wayOut: expect.stringMatching(wayOut),
    });
  });

  it('is none where the limit is just kept', () => {
    const { maxA, roomMm } = METHOD_FACTS.crimpSealed;
    expect(refusalOf('crimpSealed', { carMm2: undefined, currentA: maxA })).toBeUndefined();
    expect(refusalOf('crimpSealed', { roomMm })).toBeUndefined();
    expect(
      refusalOf('crimpPlain', { heatC: METHOD_FACTS.crimpPlain.stands.heatC, carMm2: undefined }),
    ).toBeUndefined();
    expect(refusalOf('plugHarness', { place: 'connector', adapterExists: true })).toBeUndefined();
  });
});

describe('a way to join', () => {
  it('says what it carries, what it leaves, and what speaks for it', () => {
    const { maxA } = METHOD_FACTS.crimpSealed;
    expect(choiceOf('crimpSealed', { moist: true })?.why).toEqual([
      `Carries ${maxA} A; 2 A are wanted.`,
      'The car’s wire is cut.',
      'Tight against water.',
      'The shop’s way: crimp only.',
    ]);
    expect(choiceOf('solderShrink')?.why).toEqual([
      expect.stringMatching(/^Carries/),
      'The car’s wire stays whole; a sleeve mends it when it is undone.',
      'Not the shop’s way (crimp only).',
    ]);
    const slot = choiceOf('fuseTap', { place: 'slot', tapFits: true, school: 'solder and shrink' });
    expect(slot?.why).toEqual([expect.stringMatching(/^Carries/), 'Leaves no trace.']);
  });

  it('warns of shaking, of want of practice, of the iron, and before a live wire is cut', () => {
    const shaken = choiceOf('solderShrink', { vibrates: true, skill: 1 })?.cautions ?? [];
    expect(shaken).toEqual([
      'It shakes here: support the wire on both sides of the joint.',
      'Wants a practised hand.',
      expect.stringMatching(/gets its own fuse/),
      expect.stringMatching(/^Iron and heat gun away from trim/),
    ]);
    const cut = choiceOf('crimpSealed')?.cautions ?? [];
    expect(cut).toContain('Fuse out or battery off before the wire is cut; one wire at a time.');
    expect(choiceOf('crimpSealed', { circuit: 'signal' })?.cautions).not.toEqual(cut);
    for (const one of [cut, choiceOf('solderShrink', { skill: 3 })?.cautions ?? []])
      expect(one.join()).not.toMatch(/shakes|practised/);
  });

  it('is worth less shaken, cut or beyond one’s skill, by what each costs', () => {
    const score = (more: Partial<JoinGiven>): number => choiceOf('solderShrink', more)?.score ?? 0;
    expect(score({}) - score({ vibrates: true })).toBeCloseTo(0.3, 9);
    expect(score({}) - score({ skill: 1 })).toBeCloseTo(0.25, 9);
    expect(score({ school: 'solder and shrink' }) - score({})).toBeCloseTo(0.65, 9);
    expect(score({ skill: 3 })).toBe(score({}));
  });

  it('comes in the order of its worth, and of its name’s place where two are worth the same', () => {
    for (const school of ['quick taps', 'crimp only', 'solder and shrink'] as const) {
      const { ranked } = chooseMethod({ ...WIRE, school });
      ranked
        .slice(1)
        .forEach((one, at) => expect(one.score).toBeLessThanOrEqual(ranked[at]?.score ?? 0));
    }
  });
});

// Common practice: a wire is laid for the heat where it lies, so that where nobody knows its insulation the least that is laid there counts.
it('takes the car’s wire for the insulation that is laid where it lies', () => {
  const roomA = (heatC: number | undefined): number => {
    const said = refusalOf('crimpPlain', { carMm2: 0.5, currentA: 60, heatC })?.constraint ?? '';
    return Number(/room for ([\d.]+) A/.exec(said)?.[1]);
  };
  expect(roomA(undefined)).toBe(roomA(30));
  // 40 °C and twenty above are just what 60 °C insulation does not stand: 80 °C is laid there.
  expect(roomA(40)).toBeGreaterThan(roomA(39));
  expect(refusalOf('crimpPlain', { carMm2: 0.5, currentA: 2, presentA: 60 })?.constraint).toMatch(
    /room for 0\.0 A/,
  );
});

describe('a kit that ends in a plug', () => {
  const kit = {
    plugFuseA: 3,
    converterInPlug: false,
    roomForSocket: false,
    reversible: 'any',
  } as const;

  it('is kept whole for its converter, for room or for a lease, and its lead fused for the socket’s wire', () => {
    expect(plugEndedKit({ ...kit, converterInPlug: true })).toEqual({
      keep: true,
      because: expect.stringMatching(/12 V instead of 5 V/),
      fuse: 'Fuse the hidden socket’s lead near the source for the socket’s wire.',
    });
    for (const more of [{ roomForSocket: true }, { reversible: 'no trace' as const }])
      expect(plugEndedKit({ ...kit, ...more })).toEqual({
        keep: true,
        because: expect.stringMatching(/stays whole/),
        fuse: expect.stringMatching(/the plug keeps its own\.$/),
      });
  });

  it('gets the fuse that went with its plug, or one for its current', () => {
    expect(plugEndedKit(kit)).toMatchObject({
      keep: false,
      fuse: expect.stringMatching(/the same 3 A near the source/),
    });
    expect(plugEndedKit({ ...kit, plugFuseA: undefined }).fuse).toMatch(
      /a fuse for the device’s current near/,
    );
  });
});
