/** The tools, each reachable by its own address. */
export const TOOLS = [
  {
    id: 'wire',
    name: 'Wire and fuse',
    says: 'Fuse, wire and drop of a run, and whether they agree',
  },
  {
    id: 'run',
    name: 'What this wire does',
    says: 'Longest run and largest load of a wire in hand',
  },
  {
    id: 'battery',
    name: 'Parked battery',
    says: 'Hours to cut-off, chance to crank, a month of driving',
  },
  { id: 'amps', name: 'Watts and USB to amperes', says: '3 A at 5 V is not 3 A at 12 V' },
  {
    id: 'tap',
    name: 'Tap and headroom',
    says: 'Which holder fits, what the slot carries, which blade is line',
  },
  { id: 'joint', name: 'Joint', says: 'How to join a lead where it is' },
  { id: 'terminals', name: 'Terminals', says: 'Sleeve, ring and wire tap by size' },
  {
    id: 'relay',
    name: 'Relay and switch',
    says: 'Whether one is needed, and what each terminal goes to',
  },
  { id: 'ground', name: 'Ground', says: 'Stud, harness or body, ring and limit of the joint' },
  { id: 'device', name: 'What a device needs', says: 'Feeds, polarity and what each must stand' },
  {
    id: 'leads',
    name: 'Lead colours',
    says: 'What a colour means in its own family, and where it clashes',
  },
] as const;
/** Id of one tool. */
export type ToolId = (typeof TOOLS)[number]['id'];
