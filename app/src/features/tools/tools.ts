/** The tools, each reachable by its own address. */
export const TOOLS = [
  {
    id: 'wire',
    measures: true,
    name: 'Wire and fuse',
    says: 'Fuse, wire and drop of a run, and whether they agree',
  },
  {
    id: 'run',
    measures: true,
    name: 'What this wire does',
    says: 'Longest run and largest load of a wire in hand',
  },
  {
    id: 'battery',
    measures: true,
    name: 'Parked battery',
    says: 'Hours to cut-off, chance to crank, a month of driving',
  },
  {
    id: 'amps',
    measures: false,
    name: 'Watts and USB to amperes',
    says: '3 A at 5 V is not 3 A at 12 V',
  },
  {
    id: 'tap',
    measures: true,
    name: 'Tap and headroom',
    says: 'Which holder fits, what the slot carries, which blade is line',
  },
  { id: 'joint', measures: true, name: 'Joint', says: 'How to join a lead where it is' },
  { id: 'terminals', measures: true, name: 'Terminals', says: 'Sleeve, ring and wire tap by size' },
  {
    id: 'relay',
    measures: false,
    name: 'Relay and switch',
    says: 'Whether one is needed, and what each terminal goes to',
  },
  {
    id: 'design',
    measures: false,
    name: 'Relays that do it',
    says: 'Locks, triggers, kills and holds: drawn, and tried before a wire is cut',
  },
  {
    id: 'ladder',
    measures: false,
    name: 'Resistor for a button',
    says: 'Lock and unlock by ohms on one wire: which resistor stands in for each',
  },
  {
    id: 'speakers',
    measures: false,
    name: 'Speakers',
    says: 'Ohms on one output, which one is reversed, and how plugs number them',
  },
  {
    id: 'fault',
    measures: false,
    name: 'Find a fault',
    says: 'From what is wrong to its cause, by the checks that tell most for their seconds',
  },
  {
    id: 'ground',
    measures: true,
    name: 'Ground',
    says: 'Stud, harness or body, ring and limit of the joint',
  },
  {
    id: 'hole',
    measures: true,
    name: 'Hole and depth',
    says: 'Whether a device goes into a panel: cutter, cover, what is free behind',
  },
  {
    id: 'device',
    measures: false,
    name: 'What a device needs',
    says: 'Feeds, polarity and what each must stand',
  },
  {
    id: 'leads',
    measures: false,
    name: 'Lead colours',
    says: 'What a colour means in its own family, and where it clashes',
  },
] as const;
/** Id of one tool. */
export type ToolId = (typeof TOOLS)[number]['id'];
