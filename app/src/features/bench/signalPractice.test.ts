import type { GeneratedBunch } from '@lucky-thread/core/bench';
import { benchCar, practiceBunch } from '@lucky-thread/core/bench';
import { handOverTests } from '@lucky-thread/core/prove';
import { choiceOf, jointFor } from '@lucky-thread/core/trial';
import type { ReportLine } from './panelReport';
import type { SignalLevel } from './signalLevels';
import { SIGNAL_LEVELS, needsOf } from './signalLevels';
import type { SignalAnswer, SignalAnswers } from './signalPractice';
import { NOT_HERE, NO_ANSWERS, signalReport, wiresFor } from './signalPractice';

const LEVELS: readonly (readonly [string, SignalLevel])[] = Object.entries(SIGNAL_LEVELS);

function report(
  bunch: GeneratedBunch,
  level: SignalLevel,
  answers: SignalAnswers,
): readonly ReportLine[] {
  const car = benchCar({ battery: bunch.battery, circuits: [], wires: bunch.wires });
  return signalReport(bunch, level, { car, answers, harm: [] });
}

/** What somebody answers who knows the truth. */
function perfect(bunch: GeneratedBunch, level: SignalLevel): SignalAnswers {
  const leads = level.leads.map((lead): [string, SignalAnswer] => {
    const [wireId] = wiresFor(bunch, lead);
    if (wireId === undefined) return [lead.id, { wireId: NOT_HERE }];
    const behind = bunch.wires.find(({ id }) => id === wireId)?.behind;
    if (lead.joint === undefined || behind === undefined) return [lead.id, { wireId }];
    const wanted = jointFor(lead.joint, behind);
    return [lead.id, { wireId, ...(wanted === undefined ? {} : { joint: choiceOf(wanted) }) }];
  });
  const handOver = handOverTests({ family: 'remoteStart', roles: [] }).map(
    ({ id, must }) => [id, must] as const,
  );
  return { leads: Object.fromEntries(leads), handOver: Object.fromEntries(handOver) };
}

/** The first bunch of a level that is as wanted. */
function bunchWhere(level: SignalLevel, is: (bunch: GeneratedBunch) => boolean): GeneratedBunch {
  for (let seed = 1; seed < 200; seed += 1) {
    const bunch = practiceBunch(level.bunch, seed);
    if (is(bunch)) return bunch;
  }
  throw new Error('no such bunch');
}

describe('the report of a practice on signals', () => {
  it.each(LEVELS)('%s: has nothing to say against who knows the truth', (_name, level) => {
    for (let seed = 1; seed <= 30; seed += 1) {
      const bunch = practiceBunch(level.bunch, seed);
      expect(report(bunch, level, perfect(bunch, level)).filter(({ good }) => !good)).toEqual([]);
    }
  });

  it.each(LEVELS)('%s: lets nothing pass that was not answered', (_name, level) => {
    const bunch = practiceBunch(level.bunch, 3);
    const lines = report(bunch, level, NO_ANSWERS);
    expect(lines[0]).toEqual({
      good: false,
      text: expect.stringMatching(new RegExp(`^0 of ${level.leads.length} leads`)),
    });
    expect(lines.filter(({ text }) => text.includes('nothing said'))).toHaveLength(
      level.leads.length,
    );
  });

  it('names the joint that would have burnt, with its amperes and the state', () => {
    const level: SignalLevel = SIGNAL_LEVELS.locks;
    const bunch = bunchWhere(level, ({ lockKind }) => lockKind === 'positive');
    const answers = perfect(bunch, level);
    const { lock } = answers.leads;
    const wrong = {
      ...answers,
      leads: { ...answers.leads, lock: { ...lock, joint: 'itself' as const } },
    };
    const bad = report(bunch, level, wrong).filter(({ good }) => !good);
    expect(bad).toHaveLength(1);
    expect(bad[0]?.text).toMatch(
      /^Lock onto W\d+ \(as it is\): \d+ A through an output for 0.25 A/,
    );
    expect(bad[0]?.text).toMatch(/lock/i);
    expect(bad[0]?.text).toMatch(/Right: one relay/);
  });

  it('praises no joint on a wrong wire, however well it would meet it, and still names what burns', () => {
    const level: SignalLevel = SIGNAL_LEVELS.locks;
    const bunch = bunchWhere(level, ({ lockKind }) => lockKind === 'negative');
    const [door = '', constant = ''] = (['door', 'constant'] as const).map(
      (signal) => bunch.carries.get(signal)?.[0],
    );
    const onto = (wireId: string): string =>
      report(bunch, level, {
        ...NO_ANSWERS,
        leads: { lock: { wireId, joint: 'itself' } },
      })
        .map(({ text }) => text)
        .join(' ');
    expect(onto(door)).not.toMatch(/Every joint|onto/);
    expect(onto(constant)).toMatch(/Lock onto W\d+ \(as it is\): \d+ A .* Burnt/);
  });

  it('wants the locks of a networked car said not to be here, with the way round', () => {
    const level: SignalLevel = SIGNAL_LEVELS.locks;
    const bunch = bunchWhere(level, ({ lockKind }) => lockKind === 'data');
    const wrong = { ...perfect(bunch, level).leads, lock: { wireId: 'W1' } };
    const bad = report(bunch, level, { leads: wrong, handOver: {} }).filter(({ good }) => !good);
    expect(bad.map(({ text }) => text).join()).toMatch(/Lock has no wire .* interface module/);
  });

  it('says which tests before hand-over were not known', () => {
    const level: SignalLevel = SIGNAL_LEVELS.starter;
    const bunch = practiceBunch('starter', 2);
    const answers = { ...perfect(bunch, level) };
    const lines = report(bunch, level, {
      ...answers,
      handOver: { ...answers.handOver, hood: 'It must stop by itself in the time that was set.' },
    });
    const [first] = lines.filter(({ good }) => !good);
    expect(first?.text).toMatch(/^5 of 6 tests/);
  });

  it('tells what the instruments were put on', () => {
    const level: SignalLevel = SIGNAL_LEVELS.column;
    const bunch = practiceBunch('column', 1);
    const car = benchCar({ battery: bunch.battery, circuits: [], wires: bunch.wires });
    const lines = signalReport(bunch, level, {
      ...{ car, answers: perfect(bunch, level) },
      harm: [
        { wireId: 'W2', kind: 'lamp on data' },
        { wireId: 'W2', kind: 'lamp on data' },
        { wireId: 'W4', kind: 'ohms on live' },
      ],
    });
    expect(lines.filter(({ good }) => !good).map(({ text }) => text)).toEqual([
      'The filament lamp was put on a data or sensor line: W2.',
      'The ohmmeter was put on a live wire: W4.',
    ]);
  });

  it('asks the plan for every lead but the ground', () => {
    for (const [, level] of LEVELS)
      expect(needsOf(level).map(({ id }) => id)).toEqual(
        level.leads.map(({ id }) => id).filter((id) => id !== 'ground'),
      );
  });
});
