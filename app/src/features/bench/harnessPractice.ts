import type { GeneratedHarness } from '@lucky-thread/core/bench';
import { ROLE_NAMES } from '@lucky-thread/core/identify/harness/roles';
import type { WireRole } from '@lucky-thread/core/identify/harness';
import type { HarnessEffort } from '@lucky-thread/core/trial';
import { roleOfTruth } from '@lucky-thread/core/trial';
import type { Reading } from '@lucky-thread/core/identify';
import type { ReportLine } from './panelReport';

/** What the trainee took each wire for, by wire id. */
export type NamedWires = Readonly<Record<string, WireRole>>;

/** What was right about a bunch, and what could have hurt. */
export function harnessReport(
  harness: GeneratedHarness,
  named: NamedWires,
  done: { readonly effort: HarnessEffort; readonly readings: readonly Reading[] },
): ReportLine[] {
  const wrong = harness.wires.filter(({ id }) => {
    const truth = harness.roles[id];
    return truth !== undefined && named[id] !== roleOfTruth(truth);
  });
  const right = harness.wires.length - wrong.length;
  return [
    { good: wrong.length === 0, text: `${right} of ${harness.wires.length} wires named rightly.` },
    ...wrong.map(({ id, colour }) => {
      const truth = harness.roles[id];
      const is = truth === undefined ? '' : ROLE_NAMES[roleOfTruth(truth)].plain;
      return { good: false, text: `${id} ${colour} is: ${is}.` };
    }),
    ...pairLines(harness, done.readings),
    done.effort.harm === 0
      ? { good: true, text: 'No 9 V on a live, data or sensor wire.' }
      : {
          good: false,
          text: `9 V met a live, data or sensor wire ${done.effort.harm} time(s): that destroys modules.`,
        },
    ...sweepLines(harness, done.readings),
  ];
}

function pairLines(harness: GeneratedHarness, readings: readonly Reading[]): ReportLine[] {
  const speakers = new Set(
    Object.values(harness.roles).flatMap((role) => (role.amplified ? [] : (role.speaker ?? []))),
  );
  const popped = new Set(
    readings.flatMap(({ value }) => (value.kind === 'pop' ? (value.speaker ?? []) : [])),
  );
  return [
    {
      good: popped.size === speakers.size,
      text: `${popped.size} of ${speakers.size} speakers found and their polarity seen.`,
    },
  ];
}

/** The closing sweep: every wire read once with the key at run and the lamps on. */
function sweepLines(harness: GeneratedHarness, readings: readonly Reading[]): ReportLine[] {
  const unread = harness.wires.filter(
    ({ id }) =>
      !readings.some(
        ({ sourceId, state }) => sourceId === id && state.lamps && state.key === 'run',
      ),
  );
  return unread.length === 0
    ? [{ good: true, text: 'Every wire was read with everything on.' }]
    : [
        {
          good: false,
          text: `Never read with everything on: ${unread.map(({ id }) => id).join(', ')}. What is left over may be live.`,
        },
      ];
}
