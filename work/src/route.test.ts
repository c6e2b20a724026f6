import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import type { NoteView } from '@lucky-thread/contract';
import type { SlotSource } from '@lucky-thread/core/vehicle';
import type { JobContext } from './index';
import {
  buildPlanOf,
  jointOf,
  paperOf,
  routeOf,
  setsInputOf,
  tappedFeeds,
  taughtBody,
} from './index';

const reach = { steps: [], fasteners: [], tools: [] };

/** A lead from under the dash to the engine space, on a car whose left grommet has so much room. */
function contextOf(rooms: Readonly<Record<string, number>>, currentA = 5): JobContext {
  const body = {
    style: 'hatch',
    passages: Object.entries(rooms).map(([id, roomMm]) => ({ id, roomMm })),
  };
  return {
    job: {
      ...{ id: 'j', vehicle: { steering: 'left' }, harness: [], closing: [], proofs: [] },
      device: {
        name: 'Lamp',
        feeds: [{ id: 'm', name: 'Main', role: 'constant', currentA }],
      },
      plan: [{ feedId: 'm', sourceId: 'bay/F1', oneWayM: 3 }],
      route: { mount: 'dash.middle' },
    },
    model: {
      ...{ body, simulated: false },
      notes: [],
      places: [
        {
          ...{ id: 'bay', kind: 'fusePanel', name: 'Bay', location: '', notes: '', reach },
          ...{ zone: 'engine space', side: 'left' },
          sources: [
            {
              kind: 'slot',
              id: 'bay/F1',
              position: 'F1',
              ratingA: 30,
              family: 'standard',
              legend: 'X',
            },
          ],
        },
      ],
    },
    ...{ taps: [], settings: DEFAULT_SETTINGS },
  } as unknown as JobContext;
}

const LEFT = 'grommet.left footwell.left grommet';
const RIGHT = 'grommet.right footwell.right grommet';
const through = (context: JobContext): string[] =>
  routeOf(context).laid.opened.flatMap(({ id, kind }) => (kind === 'grommet' ? [id] : []));

describe('a grommet with room', () => {
  it('takes the leads; one that is too tight for them sends them another way, and says so', () => {
    expect(through(contextOf({}))).toEqual([LEFT]);
    expect(through(contextOf({ [LEFT]: 10 }))).toEqual([LEFT]);
    const tight = contextOf({ [LEFT]: 1.5 });
    expect(through(tight)).toEqual([RIGHT]);
    expect(routeOf(tight).tooTight.map(({ id }) => id)).toEqual([LEFT]);
  });

  it('leaves the way underneath where every one of the bulkhead is too tight', () => {
    const { laid, tooTight } = routeOf(contextOf({ [LEFT]: 1, [RIGHT]: 1 }));
    expect(tooTight.map(({ id }) => id).sort()).toEqual([LEFT, RIGHT]);
    expect(laid.leads[0]?.passages.map(({ kind }) => kind)).toContain('underneath');
  });

  it('goes by how thick the lead is that the load wants', () => {
    const of = (amps: number): number => routeOf(contextOf({}, amps)).bundles.get(LEFT) ?? 0;
    expect(of(7)).toBeGreaterThan(of(1));
  });
});

it('says what passes as well of what is in the van, and the wire by the name it is sold under', () => {
  const at = (conductors: string[]) => {
    const context = contextOf({});
    const van = { only: false, conductors, fusesA: [7.5, 10] };
    return buildPlanOf({ ...context, settings: { ...DEFAULT_SETTINGS, van } }, []).parts.find(
      ({ what }) => what.startsWith('wire'),
    );
  };
  const plan = at([]);
  expect(plan).toMatchObject({ missing: true });
  expect(plan?.instead).toBeUndefined();
  expect(at([plan?.what.replace('wire ', '') ?? ''])?.missing).toBe(false);
  expect(at(['2.5 mm²'])?.instead).toBe('2.5 mm²');
});

it('says nothing of the van of a shop that has said nothing of it', () => {
  const partsOf = (van: (typeof DEFAULT_SETTINGS)['van']) =>
    buildPlanOf({ ...contextOf({}), settings: { ...DEFAULT_SETTINGS, van } }, []).parts;
  const said = (parts: ReturnType<typeof partsOf>): boolean =>
    parts.some(({ missing }) => missing !== undefined);
  expect(said(partsOf({ ...DEFAULT_SETTINGS.van }))).toBe(false);
  expect(said(partsOf({ ...DEFAULT_SETTINGS.van, only: true }))).toBe(true);
  expect(said(partsOf({ ...DEFAULT_SETTINGS.van, fusesA: [2] }))).toBe(true);
});

describe('a way by the tape', () => {
  it('is as long as it was cut, for this lead and for the next car of the model', () => {
    const context = contextOf({ [LEFT]: 12 });
    const body = taughtBody(context.model, routeOf(context), 'm', 5);
    const cut = (of: JobContext): number | undefined => routeOf(of).lengths.get('m')?.cutM;
    expect(cut(context)).toBeLessThan(4.5);
    const taught = { ...context, model: { ...context.model, body: body ?? null } };
    expect(cut(taught)).toBeCloseTo(5, 1);
    // What was known of a passage stays known.
    expect(body?.passages.find(({ id }) => id === LEFT)?.roomMm).toBe(12);
  });

  it('teaches nothing where nobody has said what body it is, or of a lead that lies nowhere', () => {
    const context = contextOf({});
    expect(taughtBody(context.model, routeOf(context), 'nothing', 5)).toBeUndefined();
    expect(taughtBody({ body: null }, routeOf(context), 'm', 5)).toBeUndefined();
    expect(taughtBody(context.model, routeOf(context), 'm', 0.2)).toBeUndefined();
  });
});

it('shows what others noted of a source at the step that goes there, with who', () => {
  const tap = (jobId: string, sourceId: string, note: string) =>
    ({ id: note, jobId, sourceId, note, loggedBy: 'Sam' }) as unknown as JobContext['taps'][number];
  const context = {
    ...contextOf({}),
    taps: [
      tap('before', 'bay/F1', 'cover breaks at its lower lug'),
      tap('j', 'bay/F1', 'my own'),
      tap('before', 'bay/F2', 'elsewhere'),
      tap('other', 'bay/F1', ' '),
    ],
  };
  const cautions = buildPlanOf(context, [])
    .order.steps.filter(({ id }) => id.startsWith('fit:'))
    .flatMap((one) => one.cautions)
    .filter((one) => one.startsWith('Noted'));
  expect(cautions).toEqual(['Noted here by Sam: cover breaks at its lower lug']);
});

it('shows notes of the place and of the source at their steps, and joins nothing where damage is known', () => {
  const note = (sourceId: string | null, kind: string, text: string) =>
    ({ id: text, placeId: 'bay', sourceId, kind, text, by: 'Ida', at: '' }) as NoteView;
  const base = contextOf({});
  const noted = (notes: readonly NoteView[]): JobContext => ({
    ...base,
    model: { ...base.model, notes },
  });
  const cautionsOf = (context: JobContext): string[] =>
    buildPlanOf(context, []).order.steps.flatMap(({ cautions }) => cautions);
  const told = noted([note(null, 'note', 'flap sticks'), note('bay/F1', 'note', 'tight')]);
  expect(cautionsOf(told)).toEqual(
    expect.arrayContaining(['Noted by Ida: flap sticks', 'Noted by Ida: tight']),
  );
  // What is said of one slot is said where it is worked at, and not of the whole place.
  const stepsOf = (context: JobContext, words: string): string[] =>
    buildPlanOf(context, []).order.steps.flatMap(({ id, cautions }) =>
      cautions.some((one) => one.endsWith(words)) ? [id] : [],
    );
  expect(stepsOf(told, 'flap sticks')).toHaveLength(1);
  expect(stepsOf(told, 'tight')).not.toContain(stepsOf(told, 'flap sticks')[0]);
  const [found] = tappedFeeds(base);
  if (found === undefined) throw new Error('nothing is tapped there');
  const tapped = {
    ...found,
    source: { ...found.source, ratingA: 15, family: 'mini', clearance: 'clear' } as SlotSource,
  };
  expect(jointOf(told, tapped)).toBeDefined();
  const damaged = noted([note('bay/F1', 'bulletin', 'contact melts')]);
  expect(jointOf(damaged, tapped)).toBeUndefined();
  expect(setsInputOf(damaged, new Map()).damage).toEqual({ 'bay/F1': 'contact melts' });
  // Damage at the place as a whole is said, and forbids none of its slots.
  expect(jointOf(noted([note(null, 'bulletin', 'water comes in')]), tapped)).toBeDefined();
});

it('tells the owner what was measured before the hand-over, and nothing that was not', () => {
  const textOf = (closing: JobContext['job']['closing']): string => {
    const context = contextOf({});
    const given = { readings: [], units: 'metric', diagram: undefined, record: '' } as const;
    const job = { ...context.job, closing };
    return JSON.stringify(paperOf('owner', { ...given, context: { ...context, job } }).blocks);
  };
  const found = (item: string, value: number) => ({ item, value, by: 'Sam', at: '' });
  expect(textOf([])).not.toMatch(/Measured/);
  expect(textOf([found('drain-before', 0.03)])).not.toMatch(/Measured/);
  const all = [found('drain-before', 0.03), found('drain-after', 0.036), found('drop-off:m', 600)];
  expect(textOf(all)).toMatch(/Measured: 36 mA with, 30 mA without: 6 mA added/);
  expect(textOf(all)).toMatch(/Main: Dead after 10 min/);
});
