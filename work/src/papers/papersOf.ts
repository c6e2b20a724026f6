import type { Reading } from '@lucky-thread/core/identify';
import { dropOff, parkedDrain } from '@lucky-thread/core/prove';
import { FUNCTION_NAMES } from '@lucky-thread/core/vehicle';
import { shown } from '@lucky-thread/core/units';
import type { UnitSystem } from '@lucky-thread/core/units';
import type { BuildPlan } from '../buildPlan';
import { buildPlanOf } from '../buildPlan';
import { closingValue, drainOf } from '../drain';
import type { JobContext } from '../jobContext';
import type { MatchedLead } from '../matchingList';
import { matchingListOf, meetingWords } from '../matchingList';
import { restoreStepsOf } from '../restoreSteps';
import { routeOf } from '../route';
import type { Paper, PaperBlock, PaperKind } from './paper';

/** What papers of a job are made from. */
export interface PapersGiven {
  /** The job with its car. */
  readonly context: JobContext;
  /** Those of the job that count. */
  readonly readings: readonly Reading[];
  /** The units that it is written in. */
  readonly units: UnitSystem;
  /** The wiring diagram as an SVG document; undefined where there is none. */
  readonly diagram: string | undefined;
  /** Where the job’s record is reached, e.g. the address of its page. */
  readonly record: string;
}

/** One paper of a job. */
export function paperOf(kind: PaperKind, given: PapersGiven): Paper {
  const { job } = given.context;
  const subtitle = `${job.vehicleName}, ${job.vehicle.year} · ${job.device.name}`;
  return { ...PAPERS[kind](given), subtitle };
}

type Made = Omit<Paper, 'subtitle'>;

const PAPERS: Record<PaperKind, (given: PapersGiven) => Made> = {
  job: jobSheet,
  owner: ownerSheet,
  restore: restorePaper,
  labels: labelPaper,
  taps: tapSheet,
};

const FIRST = 'The vehicle maker’s service information comes first. Where it differs, follow it.';

function jobSheet({ context, readings, units, diagram }: PapersGiven): Made {
  const plan = buildPlanOf(context, readings);
  const route = routeOf(context);
  return {
    title: 'Job sheet',
    blocks: [
      { is: 'caution', text: FIRST },
      ...(diagram === undefined
        ? []
        : [heading('Wiring'), { is: 'drawing', svg: diagram } as const]),
      heading('Lead to wire'),
      matchingTable(matchingListOf(context, readings).pairs, units),
      heading('To cut'),
      cutTable(plan, units),
      heading('To take along'),
      partsTable(plan, units),
      { is: 'text', text: `Tools: ${plan.tools.join(', ')}.` },
      heading('Route'),
      {
        is: 'text',
        text: `Device at the ${route.mount.name}. ${route.laid.opened.length} passages, about ${Math.round(route.laid.seconds / 60)} min to open, lay and close.`,
      },
      heading('In this order'),
      {
        is: 'steps',
        steps: plan.order.steps.map(({ what, cautions }) => ({ text: what, cautions })),
      },
    ],
  };
}

function ownerSheet({ context, readings }: PapersGiven): Made {
  const { pairs } = matchingListOf(context, readings);
  const fused = pairs.filter(({ to }) => to?.fuseA !== undefined);
  const parked = context.job.device.feeds.reduce((sum, feed) => sum + (feed.standbyA ?? 0), 0);
  return {
    title: 'What was fitted',
    blocks: [
      { is: 'text', text: `Fitted: ${context.job.device.name}.` },
      heading('Its fuses'),
      {
        is: 'table',
        head: ['For', 'Where', 'Fuse'],
        rows: fused.map(({ lead, to }) => [
          lead.name,
          `${to?.place ?? ''}, ${to?.source ?? ''}`,
          `${to?.fuseA ?? ''} A`,
        ]),
      },
      {
        is: 'text',
        text: 'To switch it off for good: key off, then take out the fuses above. The car works as before without them.',
      },
      {
        is: 'text',
        text: 'A fuse that blows again is not replaced by a larger one: have it looked at.',
      },
      heading('While the car is parked'),
      {
        is: 'text',
        text:
          parked > 0
            ? `It draws ${parked} A parked. A 60 Ah battery gives 40 % of itself in about ${daysFor(parked)} days, the car’s own drain not counted; the device’s cut-off and timer end it earlier.`
            : 'It draws next to nothing parked, as far as its label says.',
      },
      ...measuredBlocks(context.job),
      ...(context.job.device.feeds.some(({ role }) => role === 'starter')
        ? [
            {
              is: 'caution',
              text: 'It can start the engine: never in a garage or a closed room, even with the door open. Hood open, it must not start.',
            } as const,
          ]
        : []),
    ],
  };
}

/** What was measured before the car was handed over: the parked current, and how long each switched lead stays live. */
function measuredBlocks(job: JobContext['job']): PaperBlock[] {
  const drain = drainOf(job);
  const drops = job.device.feeds.flatMap((feed): string[] => {
    const seconds = closingValue(job, `drop-off:${feed.id}`);
    return seconds === undefined ? [] : [`${feed.name}: ${dropOff(seconds, feed.currentA).text}`];
  });
  return [...(drain === undefined ? [] : [`Measured: ${parkedDrain(drain).text}`]), ...drops].map(
    (text) => ({ is: 'text', text }),
  );
}

/** Days until a draw has taken 40 % of a 60 Ah battery: 24 Ah over the draw. Computed. */
function daysFor(amps: number): number {
  return Math.max(1, Math.round((0.4 * 60) / amps / 24));
}

function restorePaper({ context }: PapersGiven): Made {
  return {
    title: 'To give it back',
    blocks: [
      {
        is: 'steps',
        steps: restoreStepsOf(context).map(({ text, keep }) => ({
          text,
          cautions: keep === undefined ? [] : [keep],
        })),
      },
    ],
  };
}

function labelPaper({ context, readings, record }: PapersGiven): Made {
  const plan = buildPlanOf(context, readings);
  return {
    title: 'Labels',
    blocks: [
      {
        is: 'labels',
        // One at each end of a lead, and one for the fuse cover.
        labels: [
          ...plan.cut.flatMap(({ label }) =>
            [label, label].map((text) => ({ text, code: record })),
          ),
          { text: `Added fuses: ${context.job.device.name}`, code: record },
        ],
      },
    ],
  };
}

function tapSheet({ context }: PapersGiven): Made {
  return {
    title: 'Tap points of the model',
    blocks: [
      {
        is: 'table',
        head: ['Source', 'Is', 'Supply enters', 'Fuse', 'Status', 'By'],
        rows: context.taps.map((tap) => [
          tap.sourceId,
          FUNCTION_NAMES[tap.function].plain,
          tap.supplyLandmark ?? '',
          tap.fuseA === null ? 'none' : `${tap.fuseA} A`,
          tap.status,
          tap.loggedBy,
        ]),
      },
      {
        is: 'caution',
        text: 'What others logged is a claim: one confirming reading before it is tapped.',
      },
    ],
  };
}

function heading(text: string): PaperBlock {
  return { is: 'heading', text };
}

function matchingTable(pairs: readonly MatchedLead[], units: UnitSystem): PaperBlock {
  return {
    is: 'table',
    head: ['Lead', 'Vehicle', 'Joint', 'Fuse', 'Length'],
    rows: pairs.map(({ lead, to, optional }) => [
      [lead.words, lead.name].filter(Boolean).join(', '),
      to === undefined
        ? optional
          ? 'left off: cap it by itself'
          : 'not chosen yet'
        : [to.place, to.source, to.colour].filter(Boolean).join(', '),
      [
        to?.joint,
        to?.side === undefined ? undefined : `supply at the ${to.side}`,
        ...(to === undefined ? [] : meetingWords(to)),
        to?.signal?.because,
      ]
        .filter(Boolean)
        .join('; '),
      to?.fuseA === undefined ? '' : `${to.fuseA} A`,
      to?.lengthM === undefined ? '' : shown('length', to.lengthM, units),
    ]),
  };
}

function cutTable({ cut }: BuildPlan, units: UnitSystem): PaperBlock {
  return {
    is: 'table',
    head: ['Lead', 'Wire', 'Length', 'Car’s end', 'Label'],
    rows: cut.map((row) => [
      row.name,
      [row.colour, row.conductor].filter(Boolean).join(' '),
      shown('length', row.cutM, units),
      row.carEnd,
      row.label,
    ]),
  };
}

function inVan({ missing, instead }: BuildPlan['parts'][number]): string {
  if (missing === undefined) return '';
  if (!missing) return 'there';
  return instead === undefined ? 'missing' : `missing; ${instead} passes too`;
}

function partsTable({ parts }: BuildPlan, units: UnitSystem): PaperBlock {
  return {
    is: 'table',
    head: ['Part', 'Needed', 'In the van'],
    rows: parts.map((part) => [
      part.what,
      part.unit === 'm' ? shown('length', part.need, units) : String(part.need),
      inVan(part),
    ]),
  };
}
