/** What a circuit is for, as far as its feed is concerned. `none` stands for "none of these". */
export const CIRCUIT_FUNCTIONS = [
  'constant',
  'timedConstant',
  'accessory',
  'retainedAccessory',
  'ignitionRun',
  'ignitionRunCrank',
  'starter',
  'lamps',
  'spare',
  'none',
] as const;
/** One function of a circuit. */
export type CircuitFunction = (typeof CIRCUIT_FUNCTIONS)[number];

/** How a function is named on screens and paper. */
export interface FunctionName {
  /** Plain words first, as an installer would say it. */
  readonly plain: string;
  /** The field's term with its DIN 72552 terminal number, where there is one. */
  readonly term: string;
  /** A few letters that tell it apart without colour. */
  readonly code: string;
}

/** Names of all functions. Terminal numbers from DIN 72552, from memory. */
export const FUNCTION_NAMES: Record<CircuitFunction, FunctionName> = {
  constant: { plain: 'Live always', term: 'constant (30)', code: 'CONST' },
  timedConstant: {
    plain: 'Live until the car sleeps',
    term: 'timed constant (30, shed)',
    code: 'TIMED',
  },
  accessory: {
    plain: 'Live with the key at accessory or run',
    term: 'accessory (15R)',
    code: 'ACC',
  },
  retainedAccessory: {
    plain: 'Live with the key on, and after it until a door opens',
    term: 'retained accessory (15R, held)',
    code: 'RETAIN',
  },
  ignitionRun: {
    plain: 'Live at run only, drops while cranking',
    term: 'ignition, run (15)',
    code: 'RUN',
  },
  ignitionRunCrank: {
    plain: 'Live at run and while cranking',
    term: 'ignition, run and crank (15)',
    code: 'RUN·CR',
  },
  starter: { plain: 'Live only while cranking', term: 'starter (50)', code: 'START' },
  lamps: {
    plain: 'Live with the parking lamps',
    term: 'parking lamps, illumination (58)',
    code: 'LAMPS',
  },
  spare: { plain: 'Dead in every state', term: 'spare', code: 'SPARE' },
  none: { plain: 'None of the usual functions', term: 'unknown', code: '???' },
};

/** Functions that wake with the key and are hard to tell apart until acc, crank and door are seen. */
export const SWITCHED_FUNCTIONS: readonly CircuitFunction[] = [
  'accessory',
  'retainedAccessory',
  'ignitionRun',
  'ignitionRunCrank',
];

/** Functions that are live with the key off and the door open, and differ once the car sleeps. */
export const STANDING_FUNCTIONS: readonly CircuitFunction[] = ['constant', 'timedConstant'];
