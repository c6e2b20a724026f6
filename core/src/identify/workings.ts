import type { VehicleState } from '../vehicle';
import { stateId } from '../vehicle';
import { hiddenCircuits } from './hiddenCircuits';
import type { PerLevel } from './levels';
import { likelihoods } from './levels';
import type { Reading } from './reading';
import type { LabelReading } from './readLabel';
import { labelReader } from './readLabel';
import { HYPOTHESES, levelRowOf } from './signatures';
import type { Belief } from './sourcePrior';
import { sourcePrior } from './sourcePrior';
import type { Source } from './source';

/** What the hypotheses expect in one state. */
export interface StateTable {
  /** Entry of `LEVEL_ROWS` by hypothesis. */
  readonly rowOf: Uint8Array;
  /** The entries that occur: of those that fuse slots can have, and of all. */
  readonly slotRows: Uint8Array;
  readonly rows: Uint8Array;
}

/** What is the same for every source, and from one question to the next; worked out once. */
export interface Workings {
  /** A state's id, see `stateId`. */
  readonly idOf: (state: VehicleState) => string;
  readonly tableFor: (id: string, state: VehicleState) => StateTable;
  /** A reading's likelihoods by level, scaled so that the largest is 1. */
  readonly scaledOnce: (reading: Reading) => PerLevel;
  /** What is believed of each source of a panel beforehand; slots with the same legend and nothing logged share it. */
  readonly beliefsIn: (sources: readonly Source[]) => (source: Source) => Belief;
  /** Reads legends, each once. */
  readonly read: (legend: string | undefined) => LabelReading;
}

/** Entries of `HYPOTHESES` that fuse slots can have. */
export const ON_SLOTS: readonly number[] = HYPOTHESES.flatMap(({ onSlots }, index) =>
  onSlots ? index : [],
);

/** Fresh workings. They grow with the different states, legends and voltages seen, no further than a panel's worth. */
export function newWorkings(): Workings {
  const ids = new WeakMap<VehicleState, string>();
  const tables = new Map<string, StateTable>();
  const read = labelReader();
  const beliefs = new Map<LabelReading, Belief>();
  return {
    read,
    scaledOnce: keptLikelihoods(),
    idOf: (state) => {
      const id = ids.get(state) ?? stateId(state);
      ids.set(state, id);
      return id;
    },
    tableFor: (id, state) => {
      const table = tables.get(id) ?? stateTable(state);
      tables.set(id, table);
      return table;
    },
    beliefsIn: (sources) => {
      const hidden = hiddenCircuits(sources, read);
      let unreadable: Belief | undefined;
      return (source) => {
        const label = read(source.legend);
        if (source.logged !== undefined || source.kind === 'wire')
          return sourcePrior({ ...source, label }, hidden);
        // What can't be read is the same to all of a panel, and another on the next.
        if (label.safety === 'unknown')
          return (unreadable ??= sourcePrior({ ...source, label }, hidden));
        const belief = beliefs.get(label) ?? sourcePrior({ ...source, label });
        beliefs.set(label, belief);
        return belief;
      };
    },
  };
}

function stateTable(state: VehicleState): StateTable {
  const rowOf = Uint8Array.from(HYPOTHESES, (hypothesis) => levelRowOf(hypothesis, state));
  return {
    rowOf,
    slotRows: new Uint8Array(new Set(ON_SLOTS.map((index) => rowOf[index] as number))),
    rows: new Uint8Array(new Set(rowOf)),
  };
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
