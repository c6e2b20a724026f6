import type { DemoVehicle, PanelRows } from '../demoVehicle';
import { benchFrom, bunchFrom, panelFrom } from '../demoVehicle';

const GLOVEBOX: PanelRows = {
  id: 'glovebox',
  name: 'Glovebox panel',
  location: 'Behind the glovebox, right of the passenger’s knees',
  zone: 'dash',
  side: 'passenger',
  access: ['Empty the glovebox.', 'Press its sides in and let it swing down.'],
  columns: 5,
  family: 'micro2',
  lie: 'wide',
  landmarks: ['door side', 'console side'],
  slots: [
    ['1', 'KL30 RADIO', 15, 'battery', 'b'],
    ['2', 'INNENL', 7.5, 'batterySaver', 'a'],
    ['3', 'STECKD 1', 20, 'accessoryContactHeld', 'b'],
    ['4', 'STECKD 2', 20, 'battery', 'a'],
    ['5', 'KL15R', 10, 'accessoryContactHeld', 'a'],
    ['6', 'GURT', 10, 'runCrankContact', 'a'],
    ['7', 'MOTOR ECU', 20, 'runCrankContact', 'b'],
    ['8', 'SITZHZG', 25, 'runContact', 'a'],
    ['9', 'HECKSCH', 30, 'runContact', 'a'],
    ['10', 'STANDL', 7.5, 'lampSwitch', 'b'],
    ['11', 'ZV', 20, 'battery', 'a'],
    ['12', 'SPIEGEL', 7.5, 'accessoryContactHeld', 'a'],
    ['13', 'BLINKER', 15, 'battery', 'b'],
    ['14', '', 10, 'runContact', 'a'],
    ['15', 'RESERVE', 0, 'unfed', 'a'],
  ],
};

/** Seed of the bunch behind the radio. */
const BUNCH = 10;

/** The flower courier's van: left-hand drive, push button, micro blades, German legends, accessory held while cranking. */
export const petrel: DemoVehicle = {
  make: 'Tidewell',
  model: 'Petrel',
  generation: 'I',
  yearFrom: 2019,
  yearTo: 2025,
  trims: ['Van', 'Crew van'],
  markets: ['Islands', 'Mainland'],
  steering: ['left', 'right'],
  keyType: 'push button',
  use: 'flower courier',
  body: { style: 'van', passages: [] },
  places: [panelFrom(GLOVEBOX), bunchFrom(BUNCH)],
  bench: benchFrom(
    { restV: 12.7, internalOhm: 0.007, crankingA: 170, chargingV: 14.6 },
    [GLOVEBOX],
    BUNCH,
  ),
};
