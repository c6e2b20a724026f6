import type { FeedPlanInput, JobView } from '@lucky-thread/contract';
import {
  PutPlanRequest,
  PutRouteRequest,
  PutWiresRequest,
  ReachPhaseRequest,
  validate,
} from '@lucky-thread/contract';
import {
  ClosingRequest,
  DeferRequest,
  SeeSlotRequest,
  ShowProofRequest,
  StandingRequest,
  StepRequest,
} from '@lucky-thread/contract';
import fc from 'fast-check';
import { planChanges } from '../../work/planChanges';
import { newerJob } from '../newerJob';
import type { JobChangeBody, JobCommand } from './index';
import { commandsFor, sentBy, staleWords, withCommands } from './index';

const JOB = {
  id: 'job',
  phase: 'find',
  device: { feeds: ['a', 'b', 'c'].map((id) => ({ id, role: 'constant' })) },
  plan: [{ feedId: 'a', sourceId: 'F1' }],
  planVersions: {},
  proofs: [{ id: 'p', feedId: 'a', kind: 'live', shownBy: '', shownAt: '', readingIds: [] }],
  harness: [],
  seen: [],
  wiresVersion: null,
  deferred: [],
  waitsFor: null,
  reopened: null,
  route: null,
  steps: [],
  closing: [],
} as unknown as JobView;

const AT = '2026-05-04T10:00:00.000Z';
let made = 0;
const make = () => {
  made += 1;
  return { key: `01890a5d-ac96-774b-bcce-${String(made).padStart(12, '0')}`, at: AT };
};
const commands = (...changes: JobChangeBody[]): JobCommand[] => commandsFor(JOB, changes, make);

const CHANGES: readonly JobChangeBody[] = [
  { kind: 'plan', body: { feedId: 'a', plan: { feedId: 'a', sourceId: 'F2' } } },
  { kind: 'plan', body: { feedId: 'a', plan: null } },
  { kind: 'wires', body: { wires: [{ id: 'harness/W1', name: 'W1' }] } },
  {
    kind: 'slot',
    body: { placeId: 'dash', position: 'F9', marks: { ratingA: 10 }, holds: 'model' },
  },
  { kind: 'phase', body: { phase: 'size' } },
  { kind: 'defer', body: { place: 'crank', left: true } },
  { kind: 'standing', body: { waitsFor: 'a grommet', reopened: 'it rattles', day: '2026-05-04' } },
  { kind: 'route', body: { route: { mount: 'screenTop', aim: 'short' } } },
  { kind: 'step', body: { stepId: 'fit:a', done: true, reason: null } },
  { kind: 'closing', body: { item: 'drain-before', done: true, value: 0.03 } },
  { kind: 'proof', body: { feedId: 'a', kind: 'dead', readingIds: [] } },
  { kind: 'proofWithdrawal', body: { proofId: 'p' } },
];

describe('every change', () => {
  it.each(CHANGES.map((change) => [change.kind, change] as const))(
    'is seen at once, and done twice is the same: %s',
    (_kind, change) => {
      const [command] = commands(change) as [JobCommand];
      const once = withCommands(JOB, [command]);
      expect(once).not.toEqual(JOB);
      expect(withCommands(once, [command])).toEqual(once);
    },
  );

  it('is sent in the form that the server takes', () => {
    const classes = {
      plan: PutPlanRequest,
      wires: PutWiresRequest,
      slot: SeeSlotRequest,
      phase: ReachPhaseRequest,
      defer: DeferRequest,
      standing: StandingRequest,
      route: PutRouteRequest,
      step: StepRequest,
      closing: ClosingRequest,
      proof: ShowProofRequest,
    } as const;
    for (const command of commands(...CHANGES)) {
      const { body } = sentBy(command);
      if (command.kind === 'proofWithdrawal') expect(body).toBeUndefined();
      else
        expect(validate(classes[command.kind] as new () => object, body)).toMatchObject({
          ok: true,
        });
    }
  });

  it('of something with a version is made on the one before it', () => {
    const [first, second] = commands(CHANGES[0] as JobChangeBody, CHANGES[1] as JobChangeBody);
    expect(first?.base).toBeNull();
    expect(second?.base).toBe(first?.key);
    const [phase] = commands({ kind: 'phase', body: { phase: 'size' } });
    expect(phase?.base).toBeNull();
  });

  it('says what a refusal means where somebody can be faster', () => {
    const [plan, , wires, , phase] = commands(...CHANGES) as [JobCommand, ...JobCommand[]];
    expect(staleWords(plan)).toMatch(/feed was planned otherwise/);
    expect(staleWords(wires as JobCommand)).toMatch(/wires were changed/);
    expect(staleWords(phase as JobCommand)).toBeUndefined();
  });
});

describe('a plan', () => {
  it('at another source loses its proofs, at the same one it keeps them', () => {
    const at = (sourceId: string): JobView =>
      withCommands(
        JOB,
        commands({ kind: 'plan', body: { feedId: 'a', plan: { feedId: 'a', sourceId } } }),
      );
    expect(at('F2').proofs).toEqual([]);
    expect(at('F1').proofs).toHaveLength(1);
  });

  it('never falls back to an earlier phase', () => {
    const late = { ...JOB, phase: 'build' } as JobView;
    const [back] = commands({ kind: 'phase', body: { phase: 'choose' } });
    expect(withCommands(late, [back as JobCommand]).phase).toBe('build');
  });
});

describe('the changes that make a plan what it is to be', () => {
  const plans = fc
    .uniqueArray(
      fc.record({
        feedId: fc.constantFrom('a', 'b', 'c'),
        sourceId: fc.constantFrom('F1', 'F2', 'F3', 'F4'),
        oneWayM: fc.constantFrom(1, 2),
      }),
      { selector: (one) => one.feedId },
    )
    .filter((plan) => new Set(plan.map((one) => one.sourceId)).size === plan.length);
  const sorted = (plan: readonly FeedPlanInput[]) =>
    [...plan].sort((left, right) => left.feedId.localeCompare(right.feedId));

  it('arrive there one by one, and no source serves two feeds on the way', () => {
    fc.assert(
      fc.property(plans, plans, (before, after) => {
        let job: JobView = { ...JOB, plan: before };
        for (const command of commandsFor(job, planChanges(job, after), make)) {
          job = withCommands(job, [command]);
          const sources = job.plan.map((one) => one.sourceId);
          expect(new Set(sources).size).toBe(sources.length);
        }
        expect(sorted(job.plan)).toEqual(sorted(after));
      }),
    );
  });

  it('are none where nothing changes', () => {
    expect(planChanges(JOB, JOB.plan)).toEqual([]);
  });
});

describe('two answers about one job', () => {
  it('that overtook each other leave the newer one on the screen', () => {
    const [older, newer] = [{ version: 3 }, { version: 4 }];
    expect(newerJob(newer, older)).toBe(newer);
    expect(newerJob(older, newer)).toBe(newer);
    // The same version twice: what was read later may know of a tap point that was logged since.
    const again = { version: 4 };
    expect(newerJob(newer, again)).toBe(again);
  });
});
