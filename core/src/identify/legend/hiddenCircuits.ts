import type { FunctionWeights } from './lexicon/entry';
import { CONSTANT, COURTESY, GAUGES, IGNITION, LAMPS, RADIO, RUN, SOCKET } from './lexicon/entry';
import type { LabelReading, Written } from './readLabel';
import type { ProbeSource } from '../reading/source';
import { canHaveLegend } from '../reading/source';

/** A circuit that nearly every interior panel has. */
interface StandardCircuit {
  /** Meanings of the lexicon that name it. */
  readonly meanings: readonly string[];
  /** Chance that a whole panel holds one. */
  readonly held: number;
  /** What it hangs on; undefined for safety-critical ones. */
  readonly weights: FunctionWeights | undefined;
}

/** What an installer expects on any interior panel. Common practice. */
const STANDARD_CIRCUITS: readonly StandardCircuit[] = [
  circuit(0.9, GAUGES, 'instruments'),
  circuit(0.9, IGNITION, 'ignition'),
  circuit(0.9, RADIO, 'radio'),
  circuit(0.9, SOCKET, 'socket, lighter'),
  circuit(0.9, COURTESY, 'courtesy lamps'),
  circuit(0.8, CONSTANT, 'battery feed', 'memory supply'),
  circuit(0.8, LAMPS, 'panel illumination', 'tail and parking lamps'),
  circuit(0.9, RUN, 'rear window heater', 'wipers', 'washer, rear wiper', 'heating and air'),
  circuit(0.9, undefined, 'airbag, belts', 'airbag'),
  circuit(0.9, undefined, 'brakes, stability', 'engine control', 'control unit, bus', 'steering'),
  circuit(0.8, undefined, 'stop lamps', 'turn and hazard lamps', 'headlamps'),
];

function circuit(
  held: number,
  weights: FunctionWeights | undefined,
  ...meanings: readonly string[]
): StandardCircuit {
  return { held, weights, meanings };
}

/** Standard circuits that no legend of a panel names: they hide behind legends that are missing or can't be read. */
export interface HiddenCircuits {
  /** Chance that a source without a readable legend is one of them. */
  readonly share: number;
  /** What they hang on, with the share of each among them; `weights` undefined for safety-critical ones. */
  readonly circuits: readonly {
    readonly share: number;
    readonly weights: FunctionWeights | undefined;
  }[];
}

/** A list shorter than this may be any part of a panel; from the second number up it is taken for a whole one. */
const WHOLE_PANEL: readonly [number, number] = [8, 16];
/** However much is missing, a slot without a legend may be something else. */
const MOST_HIDDEN = 0.8;

/**
 * Which standard circuits the legends of a panel do not name, and how likely a slot without a readable legend is one of
 * them: where no legend names the instruments, they hang on a slot whose legend is gone.
 */
export function hiddenCircuits(
  sources: readonly ProbeSource[],
  read: (written: Written) => LabelReading,
): HiddenCircuits {
  const labels = sources.filter(canHaveLegend).map(read);
  const unreadable = labels.filter(({ safety }) => safety === 'unknown').length;
  const named = new Set(labels.flatMap(({ entries }) => entries.map(({ meaning }) => meaning)));
  const missing = STANDARD_CIRCUITS.filter(
    ({ meanings }) => !meanings.some((one) => named.has(one)),
  );
  const [least, whole] = WHOLE_PANEL;
  const wholeness = Math.min(1, Math.max(0, (labels.length - least) / (whole - least)));
  const held = missing.reduce((sum, one) => sum + one.held, 0);
  return {
    share: unreadable === 0 ? 0 : Math.min(MOST_HIDDEN, (wholeness * held) / unreadable),
    circuits: missing.map((one) => ({ share: one.held / held, weights: one.weights })),
  };
}
