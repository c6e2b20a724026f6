import type { DemoVehicle, PanelRows } from '../demoVehicle';
import { benchFrom, bunchFrom, panelFrom } from '../demoVehicle';

const KNEE: PanelRows = {
  id: 'knee',
  name: 'Knee panel',
  location: 'Left of the steering column, behind the coin tray',
  zone: 'dash',
  side: 'driver',
  access: ['Open the coin tray and pull it straight out.'],
  columns: 6,
  family: 'lowProfileMini',
  lie: 'wide',
  landmarks: ['door side', 'column side'],
  slots: [
    ['1', 'ACC', 7.5, 'accessoryContact', 'a'],
    ['2', 'AV', 15, 'battery', 'a'],
    ['3', 'P/POINT', 15, 'accessoryContact', 'b'],
    ['4', 'SRS', 10, 'runCrankContact', 'a'],
    ['5', 'VSC', 10, 'runCrankContact', 'a'],
    ['6', 'EPS', 30, 'battery', 'a', { family: 'cartridge' }],
    ['7', 'ILL', 5, 'lampSwitch', 'b'],
    ['8', 'S/HTR', 15, 'runContact', 'a'],
    ['9', '', 10, 'battery', 'b'],
    ['10', 'SMART', 7.5, 'battery', 'a'],
    ['11', 'P SEAT', 30, 'battery', 'b'],
    ['12', 'MIR HTR', 10, 'runContact', 'a'],
    ['13', 'WASH', 15, 'runContact', 'b', { clearance: 'tight' }],
    ['14', 'USB', 10, 'retainedPower', 'a'],
    ['15', 'DOME', 7.5, 'batterySaver', 'b'],
    ['16', '', 10, 'runCrankContact', 'a'],
    ['17', 'HAZ', 10, 'battery', 'a'],
    ['18', 'EFI', 15, 'runCrankContact', 'a'],
  ],
};
const BOOT: PanelRows = {
  id: 'boot',
  name: 'Boot panel',
  location: 'Right side of the boot, behind the trim door',
  zone: 'rear',
  side: 'right',
  access: ['Open the boot.', 'Pull the trim door by its strap.'],
  columns: 3,
  family: 'micro3',
  lie: 'tall',
  landmarks: ['upper contact', 'lower contact'],
  slots: [
    ['R1', 'AMP', 15, 'battery', 'a'],
    ['R2', 'TRAILER', 15, 'battery', 'b'],
    ['R3', 'HV BATT', 10, 'battery', 'a'],
  ],
};

/** Seed of the bunch behind the radio. */
const BUNCH = 24;

/** The harbour pilot's saloon: push button, hybrid, low-profile blades, terse legends, two of them missing. */
export const fairway: DemoVehicle = {
  make: 'Pellan',
  model: 'Fairway',
  generation: 'IV',
  yearFrom: 2020,
  yearTo: 2026,
  trims: ['Base', 'Pilot'],
  markets: ['Islands', 'Mainland'],
  steering: ['left'],
  keyType: 'push button',
  use: 'harbour pilot’s saloon',
  body: { style: 'saloon', passages: [] },
  places: [panelFrom(KNEE), panelFrom(BOOT), bunchFrom(BUNCH)],
  bench: benchFrom(
    { restV: 12.5, internalOhm: 0.008, crankingA: 120, chargingV: 14.4 },
    [KNEE, BOOT],
    BUNCH,
  ),
};
