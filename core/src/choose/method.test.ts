import fc from 'fast-check';
import type { JoinGiven } from './index';
import {
  JOIN_METHODS,
  METHOD_FACTS,
  chooseGround,
  chooseMethod,
  feedsFor,
  headroom,
  holderFor,
  lineBladeFrom,
  orientationProof,
  originalLoad,
  plugEndedKit,
  readLead,
  restoreSheet,
  unusedLeads,
} from './index';

const WIRE: JoinGiven = {
  place: 'wire',
  currentA: 2,
  carMm2: 0.75,
  addedMm2: 0.75,
  reversible: 'any',
  circuit: 'power',
  school: 'crimp only',
};

describe('chooseMethod', () => {
  it('takes a fuse tap in a slot, and the wire behind it when none fits', () => {
    const slot: JoinGiven = { ...WIRE, place: 'slot', tapFits: true };
    expect(chooseMethod(slot).ranked[0]?.method).toBe('fuseTap');
    const { refused } = chooseMethod({ ...slot, tapFits: false });
    expect(refused.find((one) => one.method === 'fuseTap')).toMatchObject({
      constraint: expect.stringContaining('No tap fits'),
      wayOut: expect.stringMatching(/behind the panel/),
    });
  });

  it('follows the shop’s school, and says so', () => {
    const best = (school: JoinGiven['school']) => chooseMethod({ ...WIRE, school }).ranked[0];
    expect(best('crimp only')?.method).toMatch(/crimp|inline/);
    expect(best('solder and shrink')?.method).toBe('solderShrink');
    expect(best('quick taps')?.method).toBe('displacementTap');
    expect(best('quick taps')?.lastResort).toBe(true);
    expect(best('quick taps')?.cautions.join()).toMatch(/Last resort/);
  });

  it('puts no last resort before a sound joint, but where the shop’s school wants it', () => {
    for (const school of ['crimp only', 'solder and shrink'] as const) {
      const { ranked } = chooseMethod({ ...WIRE, school });
      expect(ranked.at(-1)?.lastResort).toBe(true);
    }
  });

  it('wants sealed joints where it is wet, and never a quick tap', () => {
    const { ranked, refused } = chooseMethod({ ...WIRE, moist: true, school: 'quick taps' });
    expect(ranked.map((one) => one.method).sort()).toEqual(['crimpSealed', 'solderShrink']);
    expect(refused.map((one) => one.method)).toContain('displacementTap');
  });

  it('matches the tap to the car’s wire, not to the device’s lead', () => {
    const thick = chooseMethod({ ...WIRE, carMm2: 4, addedMm2: 0.5, school: 'quick taps' });
    expect(thick.refused.find((one) => one.method === 'displacementTap')?.constraint).toMatch(
      /car’s 4 mm² wire/,
    );
  });

  it('leaves no trace on a leased car', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('slot', 'wire', 'connector', 'stud', 'relaySocket') as fc.Arbitrary<
          JoinGiven['place']
        >,
        fc.double({ min: 0.1, max: 30, noNaN: true }),
        (place, currentA) => {
          const given: JoinGiven = {
            ...WIRE,
            place,
            currentA,
            reversible: 'no trace',
            adapterExists: true,
            tapFits: true,
          };
          for (const { method } of chooseMethod(given).ranked) {
            expect(METHOD_FACTS[method].trace).toBe('none');
            expect(METHOD_FACTS[method].maxA).toBeGreaterThanOrEqual(currentA);
          }
        },
      ),
    );
  });

  it('always gives a tapped wire its fuse near the source (H11–H13)', () => {
    for (const choice of chooseMethod({ ...WIRE, school: 'quick taps' }).ranked)
      expect(choice.wantsFuse || choice.method === 'inlineFusedTap').toBe(true);
  });

  it.each(['data', 'restraint'] as const)('never joins %s circuits by hand', (circuit) => {
    expect(chooseMethod({ ...WIRE, circuit }).ranked).toEqual([]);
  });

  it('keeps away from a mirror with known damage (H14)', () => {
    const mirror: JoinGiven = { ...WIRE, place: 'mirror', adapterExists: true };
    expect(chooseMethod(mirror).ranked).toHaveLength(1);
    const warned = chooseMethod({ ...mirror, alert: 'door mirror destroyed' });
    expect(warned.ranked).toEqual([]);
    expect(warned.refused[0]?.wayOut).toMatch(/fuse box/);
  });

  it.each(['wire', 'connector', 'stud', 'relaySocket', 'slot'] as const)(
    'heeds a bulletin at a %s too',
    (place) => {
      const given: JoinGiven = { ...WIRE, place, tapFits: true, adapterExists: true };
      expect(chooseMethod(given).ranked.length).toBeGreaterThan(0);
      expect(chooseMethod({ ...given, alert: 'water comes in here' }).ranked).toEqual([]);
    },
  );

  // Ampacity of 60 °C insulation, 33 CFR 183.425 from memory: what nobody knows counts as the least.
  it.each([
    [0.35, 20, 0],
    [0.5, 10, 0],
    [0.75, 5, 6],
  ])(
    'refuses %d mm² of the car %d A beside the %d A that it carries',
    (carMm2, currentA, presentA) => {
      const { ranked, refused } = chooseMethod({ ...WIRE, carMm2, currentA, presentA });
      expect(ranked).toEqual([]);
      expect(refused.map((one) => one.wayOut).join()).toMatch(
        /battery through its own fuse and a relay/,
      );
    },
  );

  it('takes a wire in the engine space for one that was laid for it', () => {
    const hot: JoinGiven = { ...WIRE, heatC: 105 };
    expect(chooseMethod(hot).ranked.length).toBeGreaterThan(0);
    expect(chooseMethod({ ...hot, currentA: 14 }).ranked).toEqual([]);
  });

  it('takes the same wire for what it has room for', () => {
    expect(chooseMethod({ ...WIRE, presentA: 2 }).ranked.length).toBeGreaterThan(0);
  });

  it('minds water wherever it comes, and shaking wherever it shakes', () => {
    for (const place of ['wire', 'connector', 'stud'] as const)
      for (const { method } of chooseMethod({ ...WIRE, place, moist: true, adapterExists: true })
        .ranked)
        expect(METHOD_FACTS[method].stands.moisture).toBe(true);
    const shaken = chooseMethod({ ...WIRE, vibrates: true, school: 'solder and shrink' });
    expect(shaken.ranked[0]?.method).not.toBe('solderShrink');
    expect(chooseMethod({ ...WIRE, school: 'solder and shrink' }).ranked[0]?.method).toBe(
      'solderShrink',
    );
  });

  it('calls no hidden socket a joint', () => {
    for (const place of ['wire', 'slot'] as const)
      for (const tapFits of [true, false]) {
        const given: JoinGiven = { ...WIRE, place, tapFits, reversible: 'no trace' };
        const { ranked, refused } = chooseMethod(given);
        expect([...ranked, ...refused].map((one) => one.method)).not.toContain('hiddenSocket');
      }
  });

  it('puts every method of a place into exactly one list, with a way out for each refusal', () => {
    const { ranked, refused } = chooseMethod({ ...WIRE, currentA: 18, tools: ['iron'] });
    const all = [...ranked, ...refused].map((one) => one.method).sort();
    const expected = JOIN_METHODS.filter((one) => METHOD_FACTS[one].places.includes('wire'));
    expect(all).toEqual([...expected].sort());
    for (const one of refused) expect(one.wayOut).toMatch(/.{10,}/);
  });
});

describe('plugEndedKit', () => {
  it('never cuts off a plug with a converter in it', () => {
    const kit = { plugFuseA: 2, roomForSocket: false, reversible: 'any' } as const;
    expect(plugEndedKit({ ...kit, converterInPlug: true }).keep).toBe(true);
    const cut = plugEndedKit({ ...kit, converterInPlug: false });
    expect(cut.keep).toBe(false);
    expect(cut.fuse).toMatch(/same 2 A.*near the source/);
  });
});

describe('holderFor', () => {
  it('takes a low holder under a tight cover, with a fuse of the same rating that fits it', () => {
    const fit = holderFor({ slot: { family: 'mini', clearance: 'tight', ratingA: 10 } });
    expect(fit).toMatchObject({ fits: true, holder: { id: 'miniLow' } });
    expect(fit.fits && fit.substitute).toMatch(/same 10 A/);
  });

  it.each([
    [{ clearanceMm: 12 }, /12 mm above/],
    [{ besideMm: 1 }, /Neighbours 1 mm/],
    [{ addedA: 12 }, /carry 10 A/],
    [{ stock: [] }, /None at hand/],
  ])('refuses with the constraint and a way out: %p', (more, constraint) => {
    const fit = holderFor({ slot: { family: 'mini', clearance: 'clear', ratingA: 10 }, ...more });
    expect(!fit.fits && fit.note).toMatch(constraint);
    expect(!fit.fits && fit.wayOut).toMatch(/.{8,}/);
  });
});

describe('headroom', () => {
  it('adds both loads, as measured, by class or by three quarters of the fuse', () => {
    expect(originalLoad({ ratingA: 10 })).toEqual({ amps: 7.5, basis: 'rating' });
    expect(originalLoad({ ratingA: 10, meaning: 'memory supply' }).basis).toBe('class');
    expect(originalLoad({ ratingA: 10, measuredA: 3 })).toEqual({ amps: 3, basis: 'measured' });
  });

  it('refuses what the contact can not carry, and wants a clamp where only the fuse speaks', () => {
    const slot = { family: 'mini', ratingA: 30 } as const;
    expect(headroom(slot, { amps: 20, basis: 'measured' }, 3).verdict).toBe('refused');
    const small = { family: 'mini', ratingA: 10 } as const;
    const unsure = headroom(small, originalLoad({ ratingA: 10 }), 4);
    expect(unsure.verdict).toBe('measure');
    expect(unsure.wayOut).toMatch(/clamp/);
    expect(headroom(small, { amps: 2, basis: 'measured' }, 4).verdict).toBe('ok');
    const full = headroom(slot, originalLoad({ ratingA: 30 }), 0.5);
    expect(full.verdict).toBe('measure');
    expect(full.text).toMatch(/= 23 A: more than the 22.5 A/);
  });

  it('takes the usual load of what the legend names (common practice), never above what its fuse lets flow', () => {
    const usual = (meaning: string) => originalLoad({ ratingA: 30, meaning });
    expect(usual('mirrors')).toEqual({ amps: 2, basis: 'class' });
    expect(usual('panel illumination')).toEqual({ amps: 1.5, basis: 'class' });
    expect(usual('seat heaters')).toEqual({ amps: 10, basis: 'class' });
    expect(originalLoad({ ratingA: 10, meaning: 'seat heaters' }).amps).toBe(7.5);
    expect(usual('wipers')).toEqual({ amps: 22.5, basis: 'rating' });
  });

  it('is exact at its limits, and says what it counted and on what ground', () => {
    // A mini contact carries 22.5 A for good: three quarters of the largest fuse made for it.
    const wide = { family: 'mini', ratingA: 30 } as const;
    const known = (amps: number, added: number) =>
      headroom(wide, { amps, basis: 'class' }, added).verdict;
    expect(known(20, 2.5)).toBe('ok');
    expect(known(20, 2.6)).toBe('refused');
    // Only the fuse speaks of the original load: more than the contact carries is asked about, not refused...
    expect(headroom(wide, { amps: 22.5, basis: 'rating' }, 3).verdict).toBe('measure');
    // ...but what is added counts for certain.
    expect(headroom(wide, { amps: 22.5, basis: 'rating' }, 20, 3).verdict).toBe('refused');
    expect(headroom(wide, { amps: 22.5, basis: 'rating' }, 20, 2).verdict).toBe('measure');
    const small = { family: 'mini', ratingA: 10 } as const;
    const full = headroom(small, { amps: 6, basis: 'class' }, 4);
    expect(full).toMatchObject({ verdict: 'ok', wayOut: undefined });
    expect(full.text).toBe(
      '6 A (usual for such a circuit) + 4 A = 10 A, within the 10 A of the slot.',
    );
    const over = headroom(small, { amps: 7.5, basis: 'rating' }, 4);
    expect(over.text).toMatch(/^7.5 A \(75 % of its fuse\) \+ 4 A = 11.5 A: more than the 10 A/);
    const measured = headroom(small, { amps: 8, basis: 'measured' }, 4);
    expect(measured.verdict).toBe('refused');
    expect(measured.wayOut).toBe('Take another slot, or give the load its own feed.');
  });

  it('counts what another tap in the slot already feeds', () => {
    const slot = { family: 'mini', ratingA: 15 } as const;
    const original = { amps: 8, basis: 'measured' } as const;
    expect(headroom(slot, original, 3).verdict).toBe('ok');
    const second = headroom(slot, original, 3, 5);
    expect(second).toMatchObject({ verdict: 'refused', togetherA: 16 });
    expect(second.text).toContain('8 A (measured) + 3 A + 5 A added before = 16 A');
  });
});

describe('lineBladeFrom', () => {
  // Follows from the circuit of any such holder.
  it('is the blade that reaches the lead with the original slot empty', () => {
    expect(lineBladeFrom({ first: false, second: true })).toMatchObject({ blade: 'second' });
    expect(lineBladeFrom({ first: true, second: true })).toMatchObject({ kind: 'problem' });
    expect(lineBladeFrom({ first: false, second: false })).toMatchObject({ kind: 'problem' });
  });

  it('proves the way round with the original fuse out', () => {
    expect(orientationProof({ addedLiveFuseIn: true, addedLiveFuseOut: true }).proof).toBe('right');
    expect(orientationProof({ addedLiveFuseIn: true, addedLiveFuseOut: false }).proof).toBe(
      'reversed',
    );
    expect(orientationProof({ addedLiveFuseIn: false, addedLiveFuseOut: false }).proof).toBe(
      'no supply',
    );
  });
});

describe('chooseGround', () => {
  const given = { currentA: 1, harness: true, harnessMm2: 1, school: 'stud' } as const;
  it('follows the school, but never onto a stud that carries an airbag unit', () => {
    expect(chooseGround({ ...given, studMm: 6 })).toMatchObject({
      place: 'stud',
      ring: 'M6 (1/4 in)',
    });
    expect(chooseGround({ ...given, studMm: 6, school: 'harness' }).place).toBe('harness');
    const critical = chooseGround({ ...given, harness: false, studMm: 6, studIsCritical: true });
    expect(critical.place).toBe('chassis');
    expect(critical.steps.join()).toMatch(/bare metal/);
  });

  it('says what a missing ground cavity does, and the limit of the joint (0.1 V, common practice)', () => {
    const choice = chooseGround({ ...given, currentA: 5, studMm: 8, adapterGround: false });
    expect(choice.steps[0]).toMatch(/cavity is empty/);
    expect(choice.limitOhm).toBeCloseTo(0.02);
  });
});

describe('leads by colour', () => {
  // Aftermarket head-unit leads, common practice.
  it.each([
    ['yellow', /constant/],
    ['red', /accessory/],
    ['black', /ground/],
    ['orange', /illumination/],
    ['blue', /antenna/],
    ['blue/white', /amplifier/],
    ['violet/white', /reverse/],
    ['light green', /parking-brake/],
    ['light blue/yellow', /steering-wheel/],
    ['violet/black', /rear right/],
  ])('%s of a radio', (words, role) => {
    expect(readLead('radio', words).lead?.role).toMatch(role);
  });

  it('points out what a colour does elsewhere, and what it passes for', () => {
    const yellow = readLead('radio', 'yellow');
    expect(yellow.clashes.map((one) => one.role)).toEqual(
      expect.arrayContaining(['ignition out', 'video']),
    );
    const blue = readLead('radio', 'blue');
    expect(blue.near.map((one) => one.words)).toEqual(['blue/white', 'light blue/yellow']);
    expect(readLead('radio', 'violet with white stripe').near.map((one) => one.words)).toContain(
      'violet/black',
    );
  });

  it('lists the leads left over, each with how it ends', () => {
    const left = unusedLeads('radio', ['yellow', 'red', 'black']);
    expect(left.map((one) => one.words)).toContain('orange');
    expect(left.every((one) => one.unused.length > 10)).toBe(true);
  });
});

describe('feedsFor', () => {
  it('wants two feeds for a camera that watches while parked, one for another', () => {
    const roles = (parked: boolean) => feedsFor('dashcam', parked).map((one) => one.role);
    expect(roles(true)).toEqual(['constant', 'switched', 'ground']);
    expect(roles(false)).toEqual(['switched', 'ground']);
  });
});

describe('restoreSheet', () => {
  it('undoes the last thing first and keeps the original fuse', () => {
    const steps = restoreSheet([
      { where: 'F1', originalA: 10, substituted: true, method: 'fuse tap', trace: 'none' },
      { where: 'F2', originalA: 15, substituted: false, method: 'fuse tap', trace: 'none' },
    ]);
    expect(steps[1]?.text).toMatch(/F2.*15 A/);
    expect(steps[2]?.keep).toMatch(/F1/);
  });
});
