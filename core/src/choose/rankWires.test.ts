import type { Need, Reading, Verdict } from '../identify';
import { advise } from '../identify';
import type { Joinable, Slot, StudSource, WireSource } from '../vehicle';
import { stateAt } from '../vehicle';
import type { Candidate, RankInput, Unfit } from './candidate';
import { weighWire } from './rankWires';

const WIRE: WireSource = {
  kind: 'wire',
  id: 'W1',
  name: 'W1',
  colour: 'yellow/red',
  gaugeMm2: 2.5,
};
const STUD: StudSource = { kind: 'stud', id: 'S1', name: 'B+', threadMm: 8 };
const SUPPLY: Need = { id: 'memory', role: 'constant' };

/** Volts at a source, and how many of the looks that the plan asks for are taken. */
interface Seen {
  readonly volts: number;
  readonly looks: number;
}
const CONSTANT: Seen = { volts: 12.4, looks: 20 };

/** What a source is taken for that shows the same in every state that the plan asks for. */
function verdictOf({ id, name, kind }: Joinable, { volts, looks }: Seen): Verdict {
  const bare = { id, name, legend: undefined, fitted: true, tappable: true, logged: undefined };
  const sources = [{ ...bare, kind: kind === 'wire' ? ('wire' as const) : ('point' as const) }];
  const readings: Reading[] = [];
  const ask = () => advise({ sources, readings, state: stateAt('off'), needs: [SUPPLY] });
  for (let look = 0; look < looks; look += 1) {
    const { next } = ask();
    if (next.kind !== 'visit') break;
    const { state, clip } = next.visit;
    const at = { id: `r${look}`, sourceId: id, contact: undefined, state, clip };
    readings.push({ ...at, value: { kind: 'volts', volts: clip === 'constant' ? 0 : volts } });
  }
  const [verdict] = ask().verdicts;
  if (verdict === undefined) throw new Error('no verdict');
  return verdict;
}

function weighed(
  source: Joinable = WIRE,
  of: Partial<RankInput> & { readonly seen?: Seen } = {},
): Candidate | Unfit | undefined {
  const { seen = CONSTANT, ...more } = of;
  const verdicts = new Map([[source.id, verdictOf(source, seen)]]);
  const input = {
    slots: [],
    verdicts,
    need: SUPPLY,
    currentA: 1,
    loggedSourceIds: new Set<string>(),
  };
  return weighWire(source, { ...input, ...more });
}

/** Its one candidate. */
function candidate(...given: Parameters<typeof weighed>): Candidate {
  const found = weighed(...given);
  if (found === undefined || 'constraint' in found)
    throw new Error(`no candidate: ${found?.constraint ?? 'something else'}`);
  return found;
}
/** What keeps it from serving, and the way out. */
function unfit(...given: Parameters<typeof weighed>): string {
  const found = weighed(...given);
  return found !== undefined && 'constraint' in found
    ? `${found.constraint} | ${found.wayOut}`
    : 'serves, or is something else';
}

describe('a wire for a feed', () => {
  it('serves once its readings prove it, with what to mind', () => {
    const { sure, because, cautions, wantsReason, fit, meets } = candidate();
    expect([sure, wantsReason, fit]).toEqual([true, undefined, undefined]);
    expect(meets).toBeGreaterThan(0.9);
    expect(because).toBe('Proven by readings, spliced: yellow with red stripe.');
    expect(cautions).toEqual([
      'Colours differ between years and trims: this very wire was read, not its colour.',
      'Which fuse of the car feeds it is not known yet: the added load must fit under it too.',
    ]);
    expect(candidate({ ...WIRE, colour: undefined }).because).toMatch(
      /spliced: colour not noted\.$/,
    );
    expect(candidate(WIRE, { feedFuseA: { W1: 20 } }).cautions).toHaveLength(1);
    expect(candidate({ ...WIRE, alsoFeeds: 'the clock' }).cautions).toContain(
      'It also feeds the clock.',
    );
  });

  it('is out of the question where nobody read it, or where it is something else', () => {
    expect(weighed(WIRE, { verdicts: new Map() })).toBeUndefined();
    expect(weighed(WIRE, { seen: { volts: 0, looks: 20 } })).toBeUndefined();
  });

  it('is not proven by a reading or two', () => {
    expect(unfit(WIRE, { seen: { volts: 12.6, looks: 1 } })).toMatch(
      /^Not proven: .+\. No legend speaks for a wire\. \| Read it in the states that are left/,
    );
  });

  it('is left alone where it is one of a pair, or hangs on a fuse that is left alone', () => {
    expect(unfit({ ...WIRE, tapedWith: 'W2' })).toBe(
      'It is taped or twisted with another: a pair is a data line or a speaker’s. | Take a single wire.',
    );
    const slot = { kind: 'slot', id: 'F7', position: 'F7', legend: 'A/BAG' } as unknown as Slot;
    expect(unfit(WIRE, { slots: [slot], fedBy: { W1: 'F7' } })).toMatch(
      /^It is fed by F7 A\/BAG: .+ \| Take another source: what that fuse feeds is left alone\.$/,
    );
    const radio = { ...slot, legend: 'RADIO' };
    expect(candidate(WIRE, { slots: [radio], fedBy: { W1: 'F7' } }).sure).toBe(true);
    expect(candidate(WIRE, { slots: [slot], fedBy: { W1: 'F8' } }).sure).toBe(true);
  });

  it('is not touched where nothing may stay behind; a stud is', () => {
    expect(unfit(WIRE, { noTrace: true })).toBe(
      'The job must leave no trace; a splice touches the car’s wire. | Take a slot.',
    );
    expect(candidate(STUD, { noTrace: true }).because).toBe(
      'Proven by readings, a ring on stud B+.',
    );
  });

  it('is refused beyond what it carries, and wants a clamp where nobody knows', () => {
    expect(unfit({ ...WIRE, gaugeMm2: 0.5 }, { currentA: 20 })).toMatch(
      /more than the .+ \| .+relay/,
    );
    const open = candidate({ ...WIRE, gaugeMm2: 0.5 }, { currentA: 4 });
    expect(open.headroom.verdict).toBe('measure');
    expect(open.cautions.join(' ')).toMatch(
      /nobody knows whether that is within the .+ Measure what flows in it with a clamp/,
    );
    expect(open.score).toBeLessThan(candidate().score);
    expect(
      candidate({ ...WIRE, gaugeMm2: 0.5 }, { currentA: 4, measuredA: { W1: 0.2 } }).headroom
        .verdict,
    ).toBe('ok');
    expect(candidate({ ...WIRE, gaugeMm2: 0.5 }, { currentA: 0.5 }).headroom.verdict).toBe('ok');
    expect(
      candidate({ ...WIRE, gaugeMm2: 0.5 }, { currentA: 0.5, sharedA: { W1: 3 } }).headroom.verdict,
    ).toBe('measure');
  });

  it('comes behind a stud, and before one that no job used', () => {
    expect(candidate(STUD).score).toBeGreaterThan(candidate().score);
    const logged = candidate(WIRE, { loggedSourceIds: new Set(['W1']) });
    expect(logged.because).toMatch(/^Proven by readings, in the log of this model, spliced/);
    expect(logged.score - candidate().score).toBeCloseTo(0.15);
    expect(candidate(STUD).cautions[0]).toMatch(
      /lead gets a fuse of its own within 45 cm \(18 in\)/,
    );
  });

  it('carries what a device carries in the key’s place, or gives, without a word of its fuse', () => {
    expect(candidate(WIRE, { kind: 'inKeysPlace' }).because).toMatch(
      /in the key’s place, not beside it\.$/,
    );
    const given = candidate(WIRE, { kind: 'given' });
    expect(given.because).toMatch(/; the device gives current here, it takes none\.$/);
    expect(given.cautions).toHaveLength(1);
    expect(unfit(STUD, { kind: 'given' })).toMatch(/backwards through one fuse/);
  });
});
