/** One job of the demo shop's week: what was fitted where, by whom, how long ago, and how far it came. */
export interface WeekJob {
  /** Model and, where there are two, generation. */
  readonly vehicle: string;
  /** Model year of the car. */
  readonly year: number;
  /** Name of the device, as in the catalogue. */
  readonly device: string;
  /** Who did it: the demo's installer, or one of the vans. */
  readonly by: 'Installer' | 'Van 1' | 'Van 2';
  /** When it was done, days before the demo is set up. */
  readonly daysAgo: number;
  /** Logged, or left in a phase. */
  readonly until: 'find' | 'choose' | 'size' | 'build' | 'prove' | 'log';
  /** A check that was left for later. */
  readonly waitsFor?: 'asleep' | 'crank';
  /** Which of the sources that would do is taken: not everybody takes the first. */
  readonly nth?: number;
  /** What the tap points say beside their values. */
  readonly note?: string;
  /** What it waits for. */
  readonly part?: string;
  /** Why it was opened again after it was logged. */
  readonly reopened?: string;
  /** A slot that was read otherwise than the log says. */
  readonly contradicts?: {
    readonly sourceId: string;
    readonly place: 'acc' | 'run' | 'off';
    readonly volts: number;
  };
}

const CAM = 'Dashcam with parking mode';
const PLAIN_CAM = 'Dashcam';
const RADIO = 'Head unit';
const USB = 'USB charger';
const LIGHTS = 'Cabin lights';

/** Oldest first: what was logged before is known to those that come after. */
export const WEEK: readonly WeekJob[] = [
  {
    vehicle: 'Longboat',
    year: 2017,
    device: CAM,
    by: 'Van 1',
    daysAgo: 410,
    until: 'log',
    note: 'Lead along the left sill.',
  },
  { vehicle: 'Petrel', year: 2019, device: CAM, by: 'Van 2', daysAgo: 372, until: 'log' },
  { vehicle: 'Packet I', year: 2016, device: CAM, by: 'Van 1', daysAgo: 350, until: 'log' },
  { vehicle: 'Packet I', year: 2017, device: CAM, by: 'Van 2', daysAgo: 300, until: 'log' },
  { vehicle: 'Heron', year: 1997, device: CAM, by: 'Installer', daysAgo: 290, until: 'log' },
  { vehicle: 'Fairway', year: 2021, device: CAM, by: 'Van 1', daysAgo: 260, until: 'log' },
  {
    vehicle: 'Longboat',
    year: 2019,
    device: RADIO,
    by: 'Van 2',
    daysAgo: 221,
    until: 'log',
    nth: 1,
  },
  {
    vehicle: 'Dabchick',
    year: 2015,
    device: CAM,
    by: 'Installer',
    daysAgo: 190,
    until: 'log',
    note: 'Salt on the contacts: cleaned and greased.',
  },
  { vehicle: 'Gadfly', year: 2019, device: CAM, by: 'Van 2', daysAgo: 171, until: 'log' },
  { vehicle: 'Drover', year: 2018, device: CAM, by: 'Van 1', daysAgo: 150, until: 'log' },
  {
    vehicle: 'Packet I',
    year: 2018,
    device: CAM,
    by: 'Installer',
    daysAgo: 131,
    until: 'log',
    nth: 1,
  },
  { vehicle: 'Packet II', year: 2020, device: CAM, by: 'Van 2', daysAgo: 120, until: 'log' },
  { vehicle: 'Sandpiper', year: 2022, device: CAM, by: 'Van 1', daysAgo: 96, until: 'log' },
  {
    vehicle: 'Kittiwake E',
    year: 2022,
    device: CAM,
    by: 'Installer',
    daysAgo: 80,
    until: 'log',
  },
  { vehicle: 'Packet II', year: 2021, device: CAM, by: 'Van 1', daysAgo: 71, until: 'log', nth: 1 },
  { vehicle: 'Petrel', year: 2020, device: CAM, by: 'Installer', daysAgo: 60, until: 'log' },
  { vehicle: 'Longboat', year: 2020, device: CAM, by: 'Van 2', daysAgo: 48, until: 'log' },
  { vehicle: 'Dabchick', year: 2018, device: CAM, by: 'Van 1', daysAgo: 41, until: 'log' },
  { vehicle: 'Fulmar', year: 2019, device: CAM, by: 'Van 2', daysAgo: 36, until: 'log' },
  { vehicle: 'Drover', year: 2019, device: CAM, by: 'Installer', daysAgo: 30, until: 'log' },
  { vehicle: 'Packet II', year: 2022, device: RADIO, by: 'Van 1', daysAgo: 24, until: 'log' },
  { vehicle: 'Kittiwake E', year: 2023, device: CAM, by: 'Van 2', daysAgo: 19, until: 'log' },
  { vehicle: 'Gadfly', year: 2021, device: CAM, by: 'Van 1', daysAgo: 15, until: 'log' },
  { vehicle: 'Heron', year: 1999, device: CAM, by: 'Van 2', daysAgo: 12, until: 'log' },
  { vehicle: 'Longboat', year: 2018, device: CAM, by: 'Installer', daysAgo: 9, until: 'log' },
  { vehicle: 'Packet I', year: 2015, device: RADIO, by: 'Van 1', daysAgo: 8, until: 'log' },
  {
    vehicle: 'Dabchick',
    year: 2020,
    device: CAM,
    by: 'Van 2',
    daysAgo: 7,
    until: 'log',
    reopened: 'the recorder stops after a night at the quay',
  },
  { vehicle: 'Packet II', year: 2023, device: CAM, by: 'Installer', daysAgo: 6, until: 'log' },
  { vehicle: 'Sandpiper', year: 2023, device: CAM, by: 'Van 1', daysAgo: 5, until: 'log' },
  { vehicle: 'Kittiwake E', year: 2024, device: RADIO, by: 'Van 2', daysAgo: 4, until: 'log' },
  {
    vehicle: 'Fairway',
    year: 2022,
    device: CAM,
    by: 'Installer',
    daysAgo: 4,
    until: 'prove',
    waitsFor: 'asleep',
  },
  {
    vehicle: 'Fulmar',
    year: 2020,
    device: USB,
    by: 'Van 1',
    daysAgo: 3,
    until: 'build',
    part: 'the 12 mm grommet',
  },
  { vehicle: 'Petrel', year: 2021, device: RADIO, by: 'Van 2', daysAgo: 2, until: 'size' },
  {
    vehicle: 'Drover',
    year: 2020,
    device: CAM,
    by: 'Installer',
    daysAgo: 1,
    until: 'find',
    waitsFor: 'crank',
  },
  { vehicle: 'Packet II', year: 2024, device: CAM, by: 'Van 1', daysAgo: 1, until: 'choose' },
  { vehicle: 'Longboat', year: 2021, device: PLAIN_CAM, by: 'Van 2', daysAgo: 0, until: 'prove' },
  {
    vehicle: 'Gadfly',
    year: 2023,
    device: LIGHTS,
    by: 'Installer',
    daysAgo: 0,
    until: 'find',
    // Somebody has moved the accessory wire of this one to the battery.
    contradicts: { sourceId: 'tray/2', place: 'off', volts: 12.61 },
  },
];
