import type { Need, Reading } from '@lucky-thread/core/identify';
import { isPlain } from '@lucky-thread/core/identify/reading';
import { readLabel } from '@lucky-thread/core/identify';
import { scoreOf } from '@lucky-thread/core/trial';
import type { StitchPlace } from '@lucky-thread/core/vehicle';
import { PLACE_WORDS, placeOf } from '@lucky-thread/core/vehicle';
import { NEED_WORDS } from './levels';
import type { PanelPractice } from './panelPractice';

/** One line of what the bench has to say at the end. */
export interface ReportLine {
  /** Whether it was right. */
  readonly good: boolean;
  /** The line in words. */
  readonly text: string;
}

/** What was right, what was missed, and what was dangerous. */
export function reportOf(practice: PanelPractice): ReportLine[] {
  return [
    ...practice.needs.map((need) => needLine(practice, need)),
    ...practice.needs.flatMap((need) => missedLines(practice, need)),
    ...pulledLines(practice),
    ...tapLines(practice),
  ];
}

function needLine(practice: PanelPractice, need: Need): ReportLine {
  const name = NEED_WORDS[need.id] ?? need.id;
  const slotId = practice.choice[need.id];
  if (slotId === undefined) return { good: false, text: `${name}: nothing chosen.` };
  const score = scoreOf(practice.car, [need], practice.choice);
  if (score.critical > 0)
    return {
      good: false,
      text: `${name}: ${slotId} is safety-critical, whatever its legend says. Never tap it.`,
    };
  return score.right === 1
    ? { good: true, text: `${name}: ${slotId} is right.` }
    : { good: false, text: `${name}: ${slotId} does not keep it in every state.` };
}

/** States that had to be seen before a slot may be trusted with a need. */
function placesFor(need: Need): readonly StitchPlace[] {
  if (need.role === 'constant') return ['off', 'asleep'];
  return [
    'off',
    ...(need.liveInAcc === true ? (['acc'] as const) : []),
    ...(need.holdsCranking === true ? (['crank'] as const) : []),
  ];
}

function missedLines(practice: PanelPractice, need: Need): ReportLine[] {
  const slotId = practice.choice[need.id];
  if (slotId === undefined) return [];
  const seen = new Set(
    practice.readings
      .filter((reading: Reading) => reading.sourceId === slotId && isPlain(reading))
      .map((reading) => placeOf(reading.state)),
  );
  return placesFor(need)
    .filter((place) => !seen.has(place))
    .map((place) => ({
      good: false,
      text: `${slotId} was never read ${PLACE_WORDS[place]}: that is what tells it from its look-alikes.`,
    }));
}

function pulledLines(practice: PanelPractice): ReportLine[] {
  return practice.everPulled.flatMap((slotId) => {
    const slot = practice.car.slots.find((one) => one.id === slotId);
    const label = readLabel(slot?.legend);
    return label.safety === 'block'
      ? [
          {
            good: false,
            text: `You pulled ${slotId} ${slot?.legend ?? ''}. ${label.reason ?? ''}`,
          },
        ]
      : [];
  });
}

function tapLines(practice: PanelPractice): ReportLine[] {
  return practice.situation.taps.map((tap) => {
    const circuit = practice.car.truth.circuits.find((one) => one.slotId === tap.slotId);
    return circuit?.supplyContact === tap.lineBladeAt
      ? { good: true, text: `The tap in ${tap.slotId} stands the right way round.` }
      : {
          good: false,
          text: `The tap in ${tap.slotId} is reversed: the original fuse carries both currents, and with it out the added circuit is dead.`,
        };
  });
}
