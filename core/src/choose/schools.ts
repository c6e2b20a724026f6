/** Ways that good shops differ in. Each is a preference, not a rule: what it trades away is said beside it. */
export interface Schools {
  /** How leads are joined where several ways would do. */
  readonly joining: 'quick taps' | 'crimp only' | 'solder and shrink';
  /** Whether the battery is off while wiring. */
  readonly battery: 'disconnect first' | 'probe live';
  /** Where grounds go by preference. */
  readonly ground: 'stud' | 'harness';
  /** What is in hand first. */
  readonly tester: 'meter' | 'lamp';
}

/** Where a new shop begins. */
export const DEFAULT_SCHOOLS: Schools = {
  joining: 'crimp only',
  battery: 'disconnect first',
  ground: 'stud',
  tester: 'meter',
};

/** Each choice with what it trades away. */
export const SCHOOL_CHOICES: {
  readonly [Key in keyof Schools]: {
    readonly title: string;
    readonly choices: readonly {
      readonly value: Schools[Key];
      readonly label: string;
      readonly trade: string;
    }[];
  };
} = {
  joining: {
    title: 'Joining wires',
    choices: [
      {
        value: 'quick taps',
        label: 'Quick taps',
        trade:
          'Fast and easily undone; can nick thin wire and work loose where it shakes or is wet.',
      },
      {
        value: 'crimp only',
        label: 'Crimp only',
        trade: 'No heat near trim and even quality with the right tool; cuts the car’s wire.',
      },
      {
        value: 'solder and shrink',
        label: 'Solder, shrink',
        trade:
          'Needs no cut; takes longer, stiffens the wire, wants a support against vibration and care with the iron.',
      },
    ],
  },
  battery: {
    title: 'Battery while wiring',
    choices: [
      {
        value: 'disconnect first',
        label: 'Negative off',
        trade:
          'Nothing can short; clocks, windows and radios may need teaching in, and all probing comes before.',
      },
      {
        value: 'probe live',
        label: 'Stays on',
        trade: 'No memories are lost; every live end has to be capped at once.',
      },
    ],
  },
  ground: {
    title: 'Ground',
    choices: [
      {
        value: 'stud',
        label: 'Stud or body',
        trade: 'Proved and shared with nothing thin; may be farther away.',
      },
      {
        value: 'harness',
        label: 'Harness ground',
        trade: 'Near and without a mark; shares its wire with other loads.',
      },
    ],
  },
  tester: {
    title: 'First instrument',
    choices: [
      {
        value: 'meter',
        label: 'Meter',
        trade: 'Reads volts and harms nothing; shows ghosts on open wires.',
      },
      {
        value: 'lamp',
        label: 'Filament lamp',
        trade:
          'Proves that a wire carries current; wakes modules and must not touch data, sensor or airbag lines.',
      },
    ],
  },
};
