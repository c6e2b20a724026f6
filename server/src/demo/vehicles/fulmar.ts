import type { DemoVehicle, PanelRows } from '../demoVehicle';
import { benchFrom, bunchFrom, panelFrom } from '../demoVehicle';

const SEATBOX: PanelRows = {
  id: 'seatbox',
  name: 'Seat-box panel',
  location: 'In the driver’s seat box, behind the cover facing the door',
  zone: 'seat',
  side: 'driver',
  access: ['Open the driver’s door.', 'Undo one screw and lift the cover off the seat box.'],
  columns: 5,
  family: 'standard',
  lie: 'wide',
  landmarks: ['door side', 'seat side'],
  slots: [
    ['S1', 'BATT 2', 20, 'battery', 'a', { backFeed: 'battery' }],
    ['S2', 'SOCKET', 15, 'battery', 'b'],
    ['S3', '15R', 10, 'accessoryContact', 'b'],
    ['S4', 'INT LP', 10, 'batterySaver', 'a'],
    ['S5', 'IGN', 10, 'runCrankContact', 'a'],
    ['S6', 'AIRBAG', 10, 'runCrankContact', 'a'],
    ['S7', 'TRAILER', 25, 'battery', 'a'],
    ['S8', 'PANEL', 5, 'lampSwitch', 'a'],
    ['S9', 'USB', 10, 'accessoryContact', 'a'],
    ['S10', 'ESP', 30, 'battery', 'b'],
  ],
};

/** Seed of the bunch behind the radio. */
const BUNCH = 31;

/** The camper: standard blades under the seat, a second battery that feeds one slot from behind. */
export const fulmar: DemoVehicle = {
  make: 'Tidewell',
  model: 'Fulmar',
  generation: 'II',
  yearFrom: 2016,
  yearTo: 2023,
  trims: ['Camper'],
  markets: ['Islands', 'Mainland'],
  steering: ['left', 'right'],
  keyType: 'key',
  use: 'camper',
  body: { style: 'van', passages: [] },
  places: [panelFrom(SEATBOX), bunchFrom(BUNCH)],
  bench: benchFrom(
    { restV: 12.6, internalOhm: 0.01, crankingA: 210, chargingV: 14.1 },
    [SEATBOX],
    BUNCH,
  ),
};
