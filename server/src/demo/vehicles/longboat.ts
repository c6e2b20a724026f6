import type { DemoVehicle, PanelRows } from '../demoVehicle';
import { benchFrom, bunchFrom, panelFrom } from '../demoVehicle';

const DASH: PanelRows = {
  id: 'dash',
  name: 'Dash panel',
  location: 'Right dash end, behind the flap beside the driver’s door',
  zone: 'dash',
  side: 'right',
  access: ['Open the driver’s door.', 'Pull the flap off the dash end; three clips.'],
  columns: 6,
  family: 'mini',
  lie: 'tall',
  landmarks: ['upper contact', 'lower contact'],
  slots: [
    ['F1', 'A/BAG', 10, 'runCrankContact', 'a'],
    ['F2', 'ABS', 25, 'battery', 'a'],
    ['F3', 'BACK UP', 10, 'battery', 'b'],
    ['F4', 'ROOM', 7.5, 'batterySaver', 'a'],
    ['F5', 'CIG', 15, 'accessoryContact', 'a'],
    ['F6', 'RADIO', 10, 'accessoryContact', 'b'],
    ['F7', 'ECU-B', 10, 'battery', 'a'],
    ['F8', 'WIPER', 25, 'runContact', 'a'],
    ['F9', 'RR DEF', 20, 'runContact', 'b'],
    ['F10', 'TAIL', 10, 'lampSwitch', 'a'],
    ['F11', 'STOP', 15, 'battery', 'a'],
    ['F12', 'P/OUTLET', 15, 'accessoryContact', 'a'],
    ['F13', 'IG2', 10, 'runContact', 'b'],
    ['F14', 'HORN', 15, 'battery', 'b'],
    ['F15', 'ACC 2', 10, 'accessoryContact', 'b'],
    ['F16', 'SPARE', 0, 'unfed', 'a'],
    ['F17', 'ENG CTRL', 15, 'runCrankContact', 'a'],
    ['F18', 'D/LOCK', 20, 'battery', 'a', { clearance: 'none' }],
  ],
};

/** Seed of the bunch behind the radio. */
const BUNCH = 3;

/** The library bus: right-hand drive, mini blades, plain English legends, courtesy lamps shed at sleep. */
export const longboat: DemoVehicle = {
  make: 'Skerrick',
  model: 'Longboat',
  generation: 'II',
  yearFrom: 2015,
  yearTo: 2021,
  trims: ['Standard', 'High roof'],
  markets: ['Islands', 'Mainland'],
  steering: ['right'],
  keyType: 'key',
  use: 'library bus',
  body: { style: 'bus', passages: [] },
  places: [panelFrom(DASH), bunchFrom(BUNCH)],
  bench: benchFrom(
    { restV: 12.55, internalOhm: 0.009, crankingA: 190, chargingV: 14.2 },
    [DASH],
    BUNCH,
  ),
};
