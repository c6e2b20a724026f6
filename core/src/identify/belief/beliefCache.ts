import type { VehicleState } from '../../vehicle';
import { placeOf, stateId } from '../../vehicle';
import { panelPrints } from '../legend/panelPrints';
import type { PerLevel } from '../circuit/levels';
import { LEVELS, likelihoods } from '../circuit/levels';
import type { Reading } from '../reading/reading';
import type { LabelReading, Written } from '../legend/readLabel';
import { readOnce } from '../legend/readLabel';
import { HYPOTHESES, LEVEL_ROWS, levelRowOf } from '../circuit/hypotheses';
import type { Belief } from './sourcePrior';
import { sourcePrior } from './sourcePrior';
import type { ProbeSource } from '../reading/source';
import { canHaveLegend } from '../reading/source';

/** What is the same for every source, and from one question to the next; worked out once. */
export interface BeliefCache {
  /** A state's id, see `stateId`. */
  readonly idOf: (state: VehicleState) => string;
  /** Alike for states of one place that no circuit of a slot tells apart. */
  readonly slotIdOf: (state: VehicleState) => string;
  /** The entry of `LEVEL_ROWS` that each hypothesis expects in a state. */
  readonly rowsFor: (id: string, state: VehicleState) => Uint8Array;
  /** A reading's likelihoods by level, scaled so that the largest is 1. */
  readonly scaledOnce: (reading: Reading) => PerLevel;
  /** How well each entry of `LEVEL_ROWS` agrees with what was seen. */
  readonly agreementsWith: (seen: PerLevel) => Float64Array;
  /** What is believed of each source of a panel beforehand; slots with the same legend and nothing logged share it. */
  readonly beliefsIn: (sources: readonly ProbeSource[]) => (source: ProbeSource) => Belief;
  /** Reads legends, each once. */
  readonly read: (written: Written) => LabelReading;
}

/** Fresh, with nothing worked out. They grow with the different states, legends and voltages seen, no further than a panel's worth. */
export function newBeliefCache(): BeliefCache {
  const ids = new WeakMap<VehicleState, string>();
  const slotIds = new Map<string, string>();
  const tables = new Map<string, Uint8Array>();
  const idOf = (state: VehicleState): string => {
    const id = ids.get(state) ?? stateId(state);
    ids.set(state, id);
    return id;
  };
  const agreements = new WeakMap<PerLevel, Float64Array>();
  const byPanel = new Map<string, Map<LabelReading | undefined, Belief>>();
  return {
    read: readOnce,
    scaledOnce: keptLikelihoods(),
    idOf,
    slotIdOf: (state) => {
      const id = idOf(state);
      const slotId = slotIds.get(id) ?? `${placeOf(state)} ${slotRowsIn(state).join()}`;
      slotIds.set(id, slotId);
      return slotId;
    },
    rowsFor: (id, state) => {
      const rows =
        tables.get(id) ??
        Uint8Array.from(HYPOTHESES, (hypothesis) => levelRowOf(hypothesis, state));
      tables.set(id, rows);
      return rows;
    },
    // The same digits come back again and again, and with them the very same levels.
    agreementsWith: (seen) => {
      const known = agreements.get(seen) ?? agreementsOf(seen);
      agreements.set(seen, known);
      return known;
    },
    beliefsIn: (sources) => {
      const prints = panelPrints(sources, readOnce);
      const panel = JSON.stringify(prints);
      const beliefs = byPanel.get(panel) ?? new Map<LabelReading | undefined, Belief>();
      if (byPanel.size >= KEPT_PANELS) byPanel.clear();
      byPanel.set(panel, beliefs);
      return (source) => {
        const label = readOnce(source);
        if (source.logged !== undefined || !canHaveLegend(source))
          return sourcePrior({ ...source, label }, prints);
        // What can't be read is the same to all of a panel.
        const key = label.safety === 'unknown' ? undefined : label;
        const belief = beliefs.get(key) ?? sourcePrior({ ...source, label }, prints);
        beliefs.set(key, belief);
        return belief;
      };
    },
  };
}

/** Panels whose beliefs are kept, each anew with what is looked up on it; a job has one or two. */
const KEPT_PANELS = 32;

const ON_SLOTS = HYPOTHESES.filter(({ onSlots }) => onSlots);

function slotRowsIn(state: VehicleState): number[] {
  return ON_SLOTS.map((hypothesis) => levelRowOf(hypothesis, state));
}

const WIDTH = LEVELS.length;
/** The rows one after the other: this is the innermost loop of the identification. */
const FLAT_ROWS = Float64Array.from(LEVEL_ROWS.flat());

/** Many hypotheses expect the same: what a row makes of the readings is worked out once. */
function agreementsOf(seen: PerLevel): Float64Array {
  const agreements = new Float64Array(LEVEL_ROWS.length);
  for (let row = 0; row < agreements.length; row += 1) {
    let sum = 0;
    for (let level = 0; level < WIDTH; level += 1)
      sum += (FLAT_ROWS[row * WIDTH + level] as number) * (seen[level] as number);
    agreements[row] = sum;
  }
  return agreements;
}

/** So many different voltages per key position are kept; a meter shows the same digits again and again. */
const KEPT_VOLTS = 4096;

function keptLikelihoods(): (reading: Reading) => PerLevel {
  const kept = new Map<string, Map<number, PerLevel>>();
  return (reading) => {
    const { value, state, clip } = reading;
    if (value.kind !== 'volts') return scaled(likelihoods(reading));
    const under = clip === 'constant' ? `${state.key} from the constant` : state.key;
    let byVolts = kept.get(under);
    if (byVolts === undefined || byVolts.size >= KEPT_VOLTS)
      kept.set(under, (byVolts = new Map<number, PerLevel>()));
    const levels = byVolts.get(value.volts) ?? scaled(likelihoods(reading));
    byVolts.set(value.volts, levels);
    return levels;
  };
}

function scaled(levels: PerLevel): PerLevel {
  const top = Math.max(...levels);
  return levels.map((level) => level / top);
}
