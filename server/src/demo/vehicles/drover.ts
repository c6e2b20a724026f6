import type { DemoVehicle, PanelRows } from '../demoVehicle';
import { cabOf, motorLead } from '../cab';
import { benchFrom, bunchFrom, panelFrom } from '../demoVehicle';
import { benchPoints, pointsFrom } from '../points';

const FOOTWELL: PanelRows = {
  id: 'footwell',
  name: 'Footwell panel',
  location: 'Driver’s footwell, above the left kick panel',
  zone: 'footwell',
  side: 'driver',
  access: ['Slide the seat back.', 'Turn the two knobs of the kick panel and lift it off.'],
  columns: 4,
  family: 'standard',
  lie: 'tall',
  landmarks: ['upper contact', 'lower contact'],
  slots: [
    ['A1', 'ALLUME-CIG', 20, 'battery', 'a'],
    ['A2', 'AUTORADIO', 10, 'retainedPower', 'b'],
    ['A3', 'PLAFONNIER', 10, 'battery', 'a'],
    ['A4', 'ESSUIE-AV', 25, 'runContact', 'a'],
    ['B1', 'COUSSIN', 10, 'runCrankContact', 'a'],
    ['B2', 'LUNETTE', 25, 'runContact', 'b'],
    ['B3', 'FREIN', 15, 'battery', 'a'],
    ['B4', 'LEVE-VITRE', 30, 'retainedPower', 'a'],
    ['C1', 'PRISE', 15, 'accessoryContact', 'a'],
    ['C2', 'CALCUL MOT', 15, 'runCrankContact', 'b'],
    ['C3', 'KLAXON', 15, 'battery', 'b'],
    ['C4', 'RETRO', 5, 'accessoryContact', 'a'],
    ['D1', 'POMPE CARB', 15, 'runCrankContact', 'a'],
    ['D2', '', 10, 'battery', 'a'],
    ['D3', 'LIBRE', 0, 'unfed', 'a'],
    ['D4', 'CLIGNO', 10, 'battery', 'a'],
  ],
};

/** An old car: its lock switch reverses the motors. */
const CAB = cabOf(motorLead);

/** Seed of the bunch behind the radio. */
const BUNCH = 17;

/** The vet's pick-up: standard blades, French legends, a lighter that is constant, a radio that outlives the key. */
export const drover: DemoVehicle = {
  make: 'Morhaven',
  model: 'Drover',
  generation: 'III',
  yearFrom: 2011,
  yearTo: 2018,
  trims: ['Single cab', 'Double cab'],
  markets: ['Islands'],
  steering: ['right'],
  keyType: 'key',
  use: 'vet’s pick-up',
  body: { style: 'pickup', passages: [] },
  places: [panelFrom(FOOTWELL), bunchFrom(BUNCH), ...CAB.map(pointsFrom)],
  bench: benchFrom(
    { restV: 12.35, internalOhm: 0.011, crankingA: 220, chargingV: 13.9 },
    [FOOTWELL],
    BUNCH,
    benchPoints(CAB),
  ),
};
