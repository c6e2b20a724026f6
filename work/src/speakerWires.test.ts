import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import type { JobView, ModelView, TapPointView } from '@lucky-thread/contract';
import { advise } from '@lucky-thread/core/identify';
import type { Cone, Reading } from '@lucky-thread/core/identify';
import { PARKED, stateAt } from '@lucky-thread/core/vehicle';
import { findSessionOf, logFindingsOf, matchingListOf, openFeeds, speakerWiresOf } from './index';

const MODEL = { notes: [], places: [] } as unknown as ModelView;
const COLOURS = ['BU', 'BU/BK', 'GN', 'WH', 'YE', 'RD', 'BK'];
const HARNESS = COLOURS.map((colour, index) => ({
  ...{ id: `harness/W${index}`, name: `W${index}`, colour },
  ...(index === 1 ? { tapedWith: 'harness/W0' } : {}),
}));
const FEEDS = [
  { id: 'c', name: 'Constant', role: 'constant', currentA: 2, leadColour: 'yellow' },
  {
    ...{ id: 'fl+', name: 'Front left +', role: 'speakerPlus', speaker: 'front left' },
    ...{ currentA: 2.2, leadColour: 'white', optional: true },
  },
  {
    ...{ id: 'fl-', name: 'Front left −', role: 'speakerMinus', speaker: 'front left' },
    ...{ currentA: 2.2, leadColour: 'white/black', optional: true, leftOff: 'It stays silent.' },
  },
  { id: 'g', name: 'Ground', role: 'ground', currentA: 1, leadColour: 'black' },
];
const JOB = {
  id: 'job',
  vehicle: { modelId: 'm', year: 2020, trim: '', market: '', steering: 'left' },
  device: { name: 'Set', family: 'radio', feeds: FEEDS },
  plan: [],
  harness: HARNESS,
} as unknown as JobView;
const CONTEXT = { job: JOB, model: MODEL, taps: [], settings: DEFAULT_SETTINGS };

const ON = { ...stateAt('run'), lamps: true };
const READ = HARNESS.map(({ id, colour }): Reading => ({
  ...{ id: `${id} on`, sourceId: id, contact: undefined, state: ON },
  value: { kind: 'volts', volts: colour === 'YE' || colour === 'RD' ? 12.4 : 0 },
}));

function pop(cone: Cone): Reading {
  return {
    ...{ id: `pop ${cone}`, sourceId: 'harness/W0', otherId: 'harness/W1', contact: undefined },
    ...{ state: ON, value: { kind: 'pop', cone, speaker: 'front left' } },
  };
}

const shown = (readings: readonly Reading[]) =>
  [...speakerWiresOf(CONTEXT, readings)].map(([id, { source, proved }]) => [id, source.id, proved]);

describe('the wires of speakers', () => {
  it('are what a pop has shown, the right way round', () => {
    expect(shown([])).toEqual([]);
    expect(shown([pop('none')])).toEqual([]);
    expect(shown([pop('out')])).toEqual([
      ['fl+', 'harness/W0', true],
      ['fl-', 'harness/W1', true],
    ]);
    expect(shown([pop('in')])).toEqual([
      ['fl+', 'harness/W1', true],
      ['fl-', 'harness/W0', true],
    ]);
    expect(shown([pop('unseen')]).map(([, , proved]) => proved)).toEqual([false, false]);
  });

  it('stand in the matching list end to end with their leads, without a fuse', () => {
    const { pairs, left } = matchingListOf(CONTEXT, [pop('out')]);
    expect(pairs.map(({ id }) => id)).toEqual(['c', 'fl+', 'fl-', 'g']);
    expect(pairs[1]).toMatchObject({
      lead: { name: 'Front left +', words: 'white', colour: 'WH' },
      direction: 'out',
      to: { source: 'W0 BU', colour: 'BU', joint: 'crimped end to end, no fuse', fuseA: undefined },
    });
    expect(pairs[1]?.to?.signal?.because).toMatch(/Plus to plus, by the cone.*plus here/);
    expect(pairs[2]?.to?.signal?.because).toMatch(/Minus to minus, by the cone.*minus here/);
    expect(left.map(({ lead }) => lead.words)).not.toContain('white/black');
  });

  it('say that plus is a guess where nobody saw the cone, and what is missing without them', () => {
    const [, plus] = matchingListOf(CONTEXT, [pop('unseen')]).pairs;
    expect(plus?.to?.signal?.because).toMatch(/guess until the phase test/);
    const [, , minus] = matchingListOf(CONTEXT, []).pairs;
    expect([minus?.to, minus?.leftOff]).toEqual([undefined, 'It stays silent.']);
  });

  it('are no feeds that a source must be chosen for, and draw nothing at the ground', () => {
    expect(openFeeds(CONTEXT).map(({ id }) => id)).toEqual(['c']);
    const ground = matchingListOf(CONTEXT, []).pairs.at(-1);
    const alone = {
      ...JOB,
      device: {
        ...JOB.device,
        feeds: FEEDS.filter((one) => one.role !== 'speakerPlus' && one.role !== 'speakerMinus'),
      },
    } as JobView;
    expect(ground).toEqual(matchingListOf({ ...CONTEXT, job: alone }, []).pairs.at(-1));
  });
});

describe('a job that seeks speakers', () => {
  const session = (readings: readonly Reading[], taps: readonly TapPointView[] = []) =>
    findSessionOf({ ...CONTEXT, taps: [...taps] }, readings, { state: ON });

  /** What the plan says of the speakers alone. */
  const saidOf = (given: ReturnType<typeof session>): string =>
    advise({ ...given, needs: given.needs.filter(({ speaker }) => speaker !== undefined) }).next
      .instruction;

  it('shows the plan which wires are cut, how they look and what they are twisted with', () => {
    expect(session([]).sources[1]?.cut).toEqual({
      ...{ colour: 'BU/BK', tapedWith: 'harness/W0', lead: undefined },
    });
    expect(saidOf(session(READ))).toMatch(/9 V across W0 BU \(\+\) and W1 BU\/BK/);
  });

  it('leaves out what was read between a wire of its own and another', () => {
    const stray = { ...pop('out'), otherId: 'harness/W99' };
    expect(session([...READ, stray]).readings).toHaveLength(READ.length);
  });

  it('tries first what another car of the model had together, plus where it was', () => {
    const tap = (sourceId: string, cone: Cone) =>
      ({
        ...{ id: sourceId, jobId: 'other', sourceId, function: 'speaker', grade: 'probed' },
        ...{ yearFrom: 2020, yearTo: 2020, trim: '', market: '', note: '', observations: [] },
        ...{ confirmedJobs: 0, contradictedJobs: 0 },
        readings: [{ place: 'run', instrument: 'pop', cone, speaker: 'front left' }],
      }) as unknown as TapPointView;
    const logged = [tap('harness/W2', 'in'), tap('harness/W3', 'out')];
    const loose = HARNESS.map(({ id, name, colour }) => ({ id, name, colour }));
    const job = { ...JOB, harness: loose } as JobView;
    const given = findSessionOf({ ...CONTEXT, job, taps: logged }, READ, { state: ON });
    expect(saidOf(given)).toMatch(/9 V across W3 WH \(\+\) and W2 GN \(−\)/);
  });

  it('logs a pop from the wire’s own side: the cone moves the other way with plus on the minus', () => {
    const readings = [...READ, pop('out')];
    const { verdicts } = advise(session(readings));
    const found = ['harness/W0', 'harness/W1'].map((id) => {
      const verdict = verdicts.find((one) => one.sourceId === id);
      const log = logFindingsOf(CONTEXT, { id, kind: 'wire' }, { verdict, readings });
      return log.ok ? log.readings.at(-1) : log.problem;
    });
    expect(found).toEqual([
      expect.objectContaining({ instrument: 'pop', cone: 'out', speaker: 'front left' }),
      expect.objectContaining({ instrument: 'pop', cone: 'in', speaker: 'front left' }),
    ]);
  });

  it('needs no key that is parked: what is asked is the same from any state', () => {
    const { next } = advise(findSessionOf(CONTEXT, [], { state: PARKED }));
    expect(next.kind).toBe('visit');
  });
});
