import type { TriggerRole } from '../need/triggers';

const SPEAKER_LEAD = {
  name: 'the speaker’s lead',
  wayRound: 'Not every car has four: its output stays capped, both leads by themselves.',
};

/** What a trigger is called in sentences, and what is done where a car has no wire for it. Common practice. */
export const TRIGGER_NAMES: Record<
  TriggerRole,
  { readonly name: string; readonly wayRound: string }
> = {
  parkingLamps: {
    name: 'the parking-lamp switch',
    wayRound: 'Take the parking lamps themselves, at a lamp or at their fuse.',
  },
  door: {
    name: 'the door switch',
    wayRound:
      'Where no wire answers to the doors their state is on the data bus: an interface module, or a pin switch of your own.',
  },
  hood: {
    name: 'the hood switch',
    wayRound: 'Fit the pin switch of the kit under the hood: no remote start without one.',
  },
  parkingBrake: {
    name: 'the parking-brake switch',
    wayRound:
      'An electric parking brake has none: the unit’s own interface reads it from the bus. Do not ground the lead for good.',
  },
  lock: {
    name: 'the lock wire',
    wayRound:
      'Where no wire answers to the switch the locks are on the data bus: an interface module, or an actuator of your own.',
  },
  unlock: {
    name: 'the unlock wire',
    wayRound:
      'Where no wire answers to the switch the locks are on the data bus: an interface module, or an actuator of your own.',
  },
  turnLeft: { name: 'the left turn lamp', wayRound: 'Take it at the lamp itself.' },
  turnRight: { name: 'the right turn lamp', wayRound: 'Take it at the lamp itself.' },
  horn: {
    name: 'the horn wire',
    wayRound: 'Take it at the horn’s relay, or leave the lead capped.',
  },
  wiper: { name: 'the wiper feed', wayRound: 'Take it at the wiper motor’s plug.' },
  speed: {
    name: 'the speed signal',
    wayRound: 'Speed is on the data bus here: an interface module, or leave the lead capped.',
  },
  tach: {
    name: 'the engine-speed signal',
    wayRound:
      'Let the starter watch the battery’s voltage instead, or read speed from the bus by a module.',
  },
  dimmer: {
    name: 'dimmed illumination',
    wayRound: 'Panel lamps are dimmed by data here: take the parking lamps, undimmed.',
  },
  lowBeam: {
    name: 'the low beam',
    wayRound: 'Take it at the lamp itself, through a relay: its driver may watch the current.',
  },
  highBeam: {
    name: 'the main beam',
    wayRound: 'Take it at the lamp itself, through a relay: its driver may watch the current.',
  },
  ampTurnOn: {
    name: 'the amplifier’s turn-on',
    wayRound:
      'With the radio out nothing drives it: read it while the old one still plays, on its half of the plug. Or the radio tells its amplifier by data: wake yours by sound at its speaker inputs, or from accessory.',
  },
  antennaTurnOn: {
    name: 'the antenna’s feed',
    wayRound:
      'With the radio out nothing drives it: read it while the old one still plays. Or it comes through the antenna’s own cable here: a feeder in that cable.',
  },
  speakerPlus: SPEAKER_LEAD,
  speakerMinus: SPEAKER_LEAD,
  amplified: {
    name: 'the amplifier’s output',
    wayRound:
      'No amplifier drives these wires: take the sound at the speakers’ own leads, or at the unit’s line outputs.',
  },
};
