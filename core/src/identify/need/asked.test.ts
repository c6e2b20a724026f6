import { CIRCUIT_FUNCTIONS } from '../../vehicle';
import { HYPOTHESES } from '../circuit/hypotheses';
import type { Need, NeedRole } from './needs';
import {
  NEED_ROLES,
  isSignal,
  isSpeakerLead,
  mustSeeOf,
  requirementsOf,
  soughtBy,
  sureOf,
} from './needs';
import { ROLE_WORDS } from './roleWords';
import type { TriggerRole } from './triggers';
import {
  TRIGGERS,
  TRIGGER_ROLES,
  givenBy,
  isGivenBySwitch,
  isShared,
  isTrigger,
  mayShareWire,
  placesOfTrigger,
  workedAt,
} from './triggers';

const need = (role: NeedRole, more: Partial<Need> = {}): Need => ({ id: 'n', role, ...more });
/** What a need asks, as live and dead places. */
const asked = (role: NeedRole, more: Partial<Need> = {}): string => {
  const of = (want: 'live' | 'dead'): string =>
    requirementsOf(need(role, more))
      .filter((one) => one.want === want)
      .map(({ place }) => place)
      .join(' ');
  return `${of('live')} | ${of('dead')}`;
};

describe('what a supply or signal asks of its source, state by state', () => {
  // What each supply is, common practice; terminals 30, 15, 15R and 58 of DIN 72552.
  it.each<[NeedRole, Partial<Need>, string]>([
    ['constant', {}, 'off asleep acc run crank engine waited | '],
    ['switched', {}, 'run engine | off asleep'],
    ['switched', { mayStayLiveAwake: true }, 'run engine | asleep'],
    ['switched', { mayStayLiveAwake: false }, 'run engine | off asleep'],
    ['switched', { holdsCranking: true }, 'run engine crank | off asleep'],
    ['switched', { liveInAcc: true }, 'run engine acc | off asleep'],
    ['switched', { dropsWithoutDoor: true }, 'run engine | off asleep justOff'],
    ['switched', { holdsCranking: false, liveInAcc: false }, 'run engine | off asleep'],
    ['retained', {}, 'run engine justOff | off asleep'],
    ['retained', { mayStayLiveAwake: true }, 'run engine justOff | asleep'],
    ['retained', { holdsCranking: true }, 'run engine justOff | off asleep'],
    ['illumination', {}, 'lamps | run off'],
    ['reverse', {}, 'reverse | run off'],
    ['brake', {}, 'brake | off run'],
    ['starter', {}, 'crank | run acc off'],
    ['lock', {}, ' | '],
  ])('%s %o: %s', (role, more, places) => {
    expect(asked(role, more)).toBe(places);
  });

  it('has the key on where lamps must be live', () => {
    const [lit] = requirementsOf(need('illumination'));
    expect(lit).toMatchObject({ place: 'lamps', state: { key: 'run', lamps: true } });
  });
});

describe('where a source must have been seen', () => {
  // The look-alikes of each supply, common practice.
  it.each<[NeedRole, Partial<Need>, string]>([
    ['constant', {}, 'asleep'],
    ['constant', { holdsCranking: true }, 'asleep'],
    ['switched', {}, 'off'],
    ['switched', { mayStayLiveAwake: true }, 'asleep'],
    ['switched', { holdsCranking: true }, 'off crank'],
    ['switched', { liveInAcc: true, dropsWithoutDoor: true }, 'off acc justOff'],
    ['retained', {}, 'justOff off'],
    ['retained', { mayStayLiveAwake: true, holdsCranking: true }, 'justOff asleep'],
    ['illumination', {}, 'lamps'],
    ['illumination', { mayStayLiveAwake: true }, 'lamps'],
    ['reverse', {}, 'reverse run'],
    ['brake', {}, 'brake run'],
    ['starter', {}, 'crank run'],
    ['parkingLamps', {}, 'lamps run'],
    ['door', {}, 'off justOff'],
    ['hood', {}, 'hood run'],
    ['parkingBrake', {}, 'parkingBrake run'],
    ['lock', {}, 'lock unlock run'],
    ['unlock', {}, 'lock unlock run'],
    ['turnLeft', {}, 'turnLeft run'],
    ['turnRight', {}, 'turnRight run'],
    ['horn', {}, 'horn run'],
    ['wiper', {}, 'wiper run'],
    ['speed', {}, 'rolling run'],
    ['tach', {}, 'engine run'],
    ['dimmer', {}, 'dimmed lamps run'],
    ['lowBeam', {}, 'lamps run'],
    ['highBeam', {}, 'highBeam lamps run'],
    ['ampTurnOn', {}, 'otherSource run'],
    ['antennaTurnOn', {}, 'tuner otherSource run'],
    ['speakerPlus', {}, ''],
    ['speakerMinus', {}, ''],
    ['amplified', {}, 'run off'],
  ])('%s %o: %s', (role, more, places) => {
    expect(mustSeeOf(need(role, more)).join(' ')).toBe(places);
  });

  it('is worked at its first place and rests at the others, unlock by its own', () => {
    for (const role of TRIGGER_ROLES.filter((one) => !['unlock'].includes(one))) {
      const [first = 'run', ...others] = TRIGGERS[role].mustSee;
      expect([role, placesOfTrigger(role)]).toEqual([role, { worked: [first], atRest: others }]);
    }
    expect(placesOfTrigger('unlock')).toEqual({ worked: ['unlock'], atRest: ['lock', 'run'] });
    expect(placesOfTrigger('speakerPlus')).toEqual({ worked: ['run'], atRest: [] });
  });
});

describe('kinds of need', () => {
  it('are supplies, signals and triggers', () => {
    const signals = NEED_ROLES.filter((role) => isSignal({ role }));
    expect(signals).toEqual(['reverse', 'brake', 'starter', ...TRIGGER_ROLES]);
    expect(NEED_ROLES.filter((role) => isTrigger(role))).toEqual([...TRIGGER_ROLES]);
    expect(isTrigger('toString')).toBe(false);
    expect(NEED_ROLES.filter((role) => isSpeakerLead(role))).toEqual([
      'speakerPlus',
      'speakerMinus',
    ]);
  });

  it('want to be so sure: supplies most, signals by what they come with, switches by two looks', () => {
    const sure = (role: NeedRole) => Object.values(sureOf({ role })).join(' ');
    expect([sure('constant'), sure('illumination')]).toEqual(['0.97 0.86', '0.97 0.86']);
    expect([sure('reverse'), sure('starter')]).toEqual(['0.9 0.75', '0.9 0.75']);
    expect([sure('door'), sure('lock')]).toEqual(['0.97 0.75', '0.97 0.75']);
  });

  it('have words of their own, as a feed and for its source', () => {
    const feeds = NEED_ROLES.map((role) => ROLE_WORDS[role].feed);
    const sources = NEED_ROLES.map((role) => ROLE_WORDS[role].source);
    expect(new Set(feeds).size).toBe(NEED_ROLES.length);
    expect(new Set(sources).size).toBe(NEED_ROLES.length);
    for (const words of [...feeds, ...sources]) expect(words).toMatch(/^[A-Z].{2,}[^.]$/);
  });
});

describe('functions that give a signal', () => {
  it.each<[readonly NeedRole[], string]>([
    [['constant', 'switched', 'illumination'], ''],
    [['reverse'], 'reverse'],
    [['brake'], 'stopLamp'],
    [['starter'], 'starter'],
    [['parkingLamps'], 'lamps lampsNegative'],
    [['lock'], 'lockMultiplex lockNegative lockPositive lockReversing'],
    [['turnLeft', 'turnRight'], 'turnHazard'],
    [['speed', 'tach', 'constant'], 'speedPulse tachPulse'],
    [['speakerPlus', 'amplified'], 'speaker'],
    [['dimmer', 'lowBeam', 'highBeam'], 'dimmedIllumination highBeam lowBeam'],
    [['ampTurnOn', 'antennaTurnOn'], 'amplifierTurnOn antennaTurnOn'],
    [
      ['door', 'hood', 'parkingBrake', 'horn', 'wiper'],
      'doorSwitch hoodSwitch horn parkingBrakeSwitch wiper',
    ],
  ])('%p: %s', (roles, functions) => {
    expect(soughtBy(roles.map((role) => ({ role }))).join(' ')).toBe(functions);
  });

  it('are signals and no supplies, but for lamps and speakers', () => {
    expect(CIRCUIT_FUNCTIONS.filter(isGivenBySwitch).sort()).toEqual(
      `amplifierTurnOn antennaTurnOn doorSwitch highBeam hoodSwitch horn lampsNegative lockMultiplex lockNegative lockPositive
       lockReversing parkingBrakeSwitch speedPulse tachPulse turnHazard wiper`.split(/\s+/),
    );
    expect(CIRCUIT_FUNCTIONS.filter(isShared)).toEqual(['lockMultiplex']);
  });

  it('show that they are worked where any trigger of theirs does', () => {
    expect(workedAt('constant')).toEqual([]);
    expect(workedAt('lamps')).toEqual([]);
    expect(workedAt('speaker')).toEqual([]);
    expect(workedAt('doorSwitch')).toEqual(['off']);
    expect(workedAt('lockNegative')).toEqual(['lock', 'unlock']);
    expect(workedAt('turnHazard')).toEqual(['turnLeft', 'turnRight']);
  });

  it('share a wire where a ladder carries lock and unlock, and nothing else does', () => {
    expect(mayShareWire('lock', 'unlock')).toBe(true);
    expect(mayShareWire('unlock', 'lock')).toBe(true);
    expect(mayShareWire('lock', 'lock')).toBe(false);
    expect(mayShareWire('lock', 'door')).toBe(false);
    expect(mayShareWire('door', 'unlock')).toBe(false);
  });

  it.each(TRIGGER_ROLES)('give %s by their own variants only', (role: TriggerRole) => {
    const given = givenBy(role);
    expect(given).toHaveLength(HYPOTHESES.length + 1);
    expect(given[HYPOTHESES.length]).toBe(0);
    const { functions, variants = '' } = TRIGGERS[role];
    HYPOTHESES.forEach((one, index) => {
      const isOne = functions.includes(one.function);
      if (!isOne) expect(given[index]).toBe(0);
      else if (one.function === 'lockMultiplex') expect(given[index]).toBe(1);
      else expect(given[index]).toBe(one.variant.startsWith(variants) ? 1 : 0);
    });
    expect(given.some((chance) => chance === 1)).toBe(true);
  });
});
