import type { VehicleState } from '../../vehicle';
import { stateAt } from '../../vehicle';
import { ROLE_NAMES, WIRE_ROLES } from './roles';
import { sayPair } from './pairWords';
import type { HarnessSession } from './session';
import type { WireLook, WireVisit } from './wireTests';
import { describeVisit } from './words';

const ELSEWHERE: VehicleState = stateAt('reverse');
const LOOK_STATES: Record<WireLook['name'], VehicleState> = {
  'everything on': { ...stateAt('run'), lamps: true },
  off: stateAt('off'),
  acc: stateAt('acc'),
  run: stateAt('run'),
  parkingBrake: stateAt('parkingBrake'),
  'ohms to ground': stateAt('off'),
  'from the constant': stateAt('off'),
};
const visit = (name: WireLook['name'], more: Partial<WireLook> = {}): WireVisit => ({
  look: { name, state: LOOK_STATES[name], instrument: 'meter', clip: 'ground', needs: [], ...more },
  ...{ wireIds: [], seconds: 1, rate: 1 },
});
const session = (more: Partial<HarnessSession> = {}): HarnessSession => ({
  wires: Array.from({ length: 9 }, (_, at) => ({ id: `w${at}`, name: `W${at}` })) as never,
  ...{ readings: [], state: ELSEWHERE, ...more },
});

describe('an instruction for a look at wires', () => {
  // What each look is for, common practice.
  it.each<[WireLook['name'], string, string]>([
    [
      'everything on',
      'Key to run, lamps on, meter clipped to ground',
      'Whatever can be live is live now, and data lines show their bias.',
    ],
    [
      'off',
      'Key off, lamps off, meter clipped to ground',
      'With the key off only the constant stays live.',
    ],
    [
      'acc',
      'Key to accessory, lamps off, meter clipped to ground',
      'The accessory lives here, illumination does not.',
    ],
    [
      'run',
      'Key to run, lamps off, meter clipped to ground',
      'Ignition lives here, illumination does not.',
    ],
    [
      'parkingBrake',
      'Key off, parking brake on, meter clipped to ground',
      'A switch wire falls to ground; a supply does not.',
    ],
    [
      'ohms to ground',
      'Key off, ohmmeter to bare metal',
      'Ground shows hardly any ohms; a load shows some, an open wire none.',
    ],
    [
      'from the constant',
      'Key off, lamp clipped to the constant',
      'Clipped to the constant, the lamp burns on ground and on nothing else.',
    ],
  ])('for %s says how to get there, what to touch, and why', (name, arrive, because) => {
    expect(describeVisit(visit(name), ['W1'], session())).toEqual({
      instruction: `${arrive}, then touch W1.`,
      because,
      caution:
        'Live ends are bare: one wire at a time, cap each again at once. The probe touches one wire and nothing else.',
    });
    // By lamp the same way, with the lamp’s own caution wherever it takes the meter’s place.
    const byLamp = describeVisit(visit(name), ['W1'], session({ cannot: ['meter'] }));
    expect(byLamp.instruction).toBe(
      `${arrive.replace('meter clipped', 'lamp clipped')}, then touch W1.`,
    );
    expect(byLamp.caution).toMatch(
      /nothing else\. A lamp loads what it touches: never on yellow-sleeved or airbag wires\.$/,
    );
    const ohmmeter = visit(name, { instrument: 'ohmmeter' });
    expect(describeVisit(ohmmeter, ['W1'], session({ cannot: ['meter'] })).caution).toMatch(
      /nothing else\.$/,
    );
  });

  it('names a few wires, counts many, and says when it is all of them', () => {
    const said = (count: number): string =>
      describeVisit(
        visit('off'),
        Array.from({ length: count }, (_, at) => `W${at}`),
        session({ state: stateAt('off') }),
      ).instruction;
    expect(said(0)).toBe('Touch .');
    expect(said(1)).toBe('Touch W0.');
    expect(said(2)).toBe('Touch W0 and W1.');
    expect(said(6)).toBe('Touch W0, W1, W2, W3, W4 and W5.');
    expect(said(7)).toBe('Touch these 7 wires in turn.');
    expect(said(9)).toBe('Touch every wire in turn.');
  });

  it('leaves out the way where car and clip are there already', () => {
    const from = (state: VehicleState, clip?: 'ground' | 'constant') =>
      describeVisit(
        visit('from the constant', { clip: 'constant' }),
        ['W1'],
        session({ state, ...(clip && { clip }) }),
      ).instruction;
    expect(from(stateAt('off'), 'constant')).toBe('Touch W1.');
    expect(from(stateAt('off'), 'ground')).toMatch(/^Key off, lamp clipped/);
    expect(from(stateAt('off'))).toMatch(/^Key off, lamp clipped/);
    expect(from(stateAt('run'), 'constant')).toMatch(/^Key off, lamp clipped/);
    expect(
      describeVisit(visit('off'), ['W1'], session({ state: stateAt('off') })).instruction,
    ).toBe('Touch W1.');
  });
});

describe('two wires tried together', () => {
  const nameOf = (id: string): string => id.toUpperCase();

  it('are measured with the key off, for a coil’s few ohms', () => {
    const said = sayPair({ by: 'ohms', plusId: 'a', minusId: 'b' }, nameOf);
    expect(said.instruction).toBe('Key off. Ohms between A and B: a speaker shows 2 to 16 Ω.');
    expect(said.because).toMatch(/^A coil shows a few ohms, a data pair 60 or 120; /);
    expect(said.caution).toMatch(/never on a live wire; airbag plugs stay shut/);
  });

  it('are popped by a blink, never live', () => {
    const said = sayPair({ by: 'pop', plusId: 'a', minusId: 'b' }, nameOf);
    expect(said.instruction).toBe('Touch 9 V across A (+) and B (−), and listen.');
    expect(said.because).toBe('A speaker pops; its cone moves out when plus is on plus.');
    expect(said.caution).toMatch(/^A blink, not longer: .*Never on a live, data or sensor wire/);
    expect(said.seconds).toBe(sayPair({ by: 'ohms', plusId: 'a', minusId: 'b' }, nameOf).seconds);
  });
});

// Terminal numbers of DIN 72552.
it('names every role in words and by a code of its own, supplies with their terminal', () => {
  expect(
    Object.fromEntries(
      WIRE_ROLES.map((role) => [
        ROLE_NAMES[role].code,
        /\((\w+)\)/.exec(ROLE_NAMES[role].plain)?.[1],
      ]),
    ),
  ).toEqual({
    ...{ CONST: '30', ACC: '15R', LAMPS: '58', GND: '31' },
    ...{ SPKR: undefined, AMP: undefined, DATA: undefined, SENSE: undefined, PULL: undefined },
    CAP: undefined,
  });
  for (const role of ['dataBus', 'sensor'] as const)
    expect(ROLE_NAMES[role].plain).toMatch(/: leave it alone$/);
  expect(ROLE_NAMES.amplifier.plain).toMatch(/no lamp, no 9 V$/);
  expect(ROLE_NAMES.pulledUp.plain).toMatch(/no supply$/);
  expect(ROLE_NAMES.leftOver.plain).toMatch(/prove it dead and cap it$/);
  expect(ROLE_NAMES.speaker.plain).toBe('Speaker lead');
});
