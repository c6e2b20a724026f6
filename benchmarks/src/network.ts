import { benchCar, generateVehicle } from '@lucky-thread/core/bench';
import { stateAt } from '@lucky-thread/core/vehicle';
import { line, measure } from './measure';

const ROUNDS = 60;
/** A car of 200 nodes has about so many slots. */
const SLOTS = 60;

/** One state of a large car, solved anew: nodal analysis, relays and warm bulbs settled. */
export async function networkBenchmark(): Promise<void> {
  let seed = 1;
  while (generateVehicle(seed).slots.length !== SLOTS) seed += 1;
  const { truth } = generateVehicle(seed);
  const bulbless = {
    ...truth,
    circuits: truth.circuits.map(({ bulbW: _none, ...circuit }) => circuit),
  };
  const nodes = 3 * truth.circuits.length + 20;
  const solve = () => benchCar(bulbless).at(stateAt('off')).on.voltage('cells');
  const settle = () => benchCar(truth).at(stateAt('run')).on.voltage('cells');
  const times = await measure(ROUNDS, { solve, settle });
  line(
    `nodal solution of a car with about ${nodes} nodes, twice (relay settled): median`,
    `${(times.solve?.median ?? 0).toFixed(2)} ms`,
  );
  line(
    '  with warm bulbs settled, lamps on: median',
    `${(times.settle?.median ?? 0).toFixed(2)} ms`,
  );
}
