/** What can be wrong, over added and original circuits. */
export const CAUSES = {
  addedFuse: cause(
    'the added fuse is blown, missing or in the wrong place',
    'Outer place of the tap, whole, the rating of the plan. It blew: look for the short before the next one.',
  ),
  leadOpen: cause(
    'the added lead is broken, or a crimp on it holds nothing',
    'Tug both ends; new terminal, crimped in its own die, tugged again.',
  ),
  groundOpen: cause(
    'the device has no ground',
    'Ring on bare metal or a free stud, toothed washer, tight; then the drop with the load on.',
  ),
  noSupply: cause(
    'the source gives nothing in this state',
    'Another key position, its own fuse, or another source: read it again without the lead.',
  ),
  device: cause(
    'the device itself',
    'Its own fuse, its plug, its settings; then another one of its kind.',
  ),
  turned: cause(
    'the tap is the wrong way round',
    'Key off, turn it: the line blade at the contact that the supply enters.',
  ),
  badCrimp: cause(
    'a joint in the added lead has too much resistance',
    'What is warm after a minute is it: new terminal, right die, right size.',
  ),
  poorGround: cause(
    'the ground joint has too much resistance',
    'Bare metal, toothed washer, tight; another point if it stays above 0.1 V.',
  ),
  thinLead: cause(
    'the lead is too thin for its length',
    'The size that the plan gives for this load and length.',
  ),
  weakBattery: cause(
    'the battery gives way',
    'Rested volts, a load test, its age; charge it before anything else is judged.',
  ),
  dropsAtCrank: cause(
    'the source dies while cranking',
    'A source that holds through cranking: live in run and crank, or the constant.',
  ),
  takenConstant: cause(
    'the device hangs on a constant where it wants a switched supply',
    'Its switched lead to a source that is dead with the key out, and dead when the car sleeps.',
  ),
  staysAwake: cause(
    'the tapped circuit keeps the car awake',
    'Another source: one that a module does not watch; leave the car shut for half an hour and measure again.',
  ),
  deviceStandby: cause(
    'the device’s own parked draw, or its timer',
    'Cut-off and timer in the device’s settings; what it may draw for how many days.',
  ),
  ownDrain: cause(
    'the car’s own drain',
    'Fuse by fuse with the car asleep, by its maker’s service information.',
  ),
  originalFuse: cause(
    'the original fuse is blown or left out',
    'In the place nearest the blades, the rating that was there.',
  ),
  notHome: cause(
    'the tap is not pushed home, or a contact is spread',
    'Key off, out, look at the contacts, in again until it stops.',
  ),
  chafed: cause(
    'the added lead touches metal',
    'Ohms to the body with both ends off; look where it passes edges, hinges and screws.',
  ),
  deviceShort: cause('a short in the device or its plug', 'Unplug it: the fuse stays whole.'),
  fuseTooSmall: cause(
    'the added fuse is too small for what flows at switching on',
    'The rating that the plan works out from load and inrush, never above the wire’s.',
  ),
  groundLoop: cause(
    'sound equipment is grounded at two points',
    'One point for all of it; the signal leads’ screens at one end only.',
  ),
  besideSupply: cause(
    'signal leads lie beside supply leads',
    'Apart by a hand, or on the other side of the car; across each other at right angles.',
  ),
  converter: cause(
    'the device’s converter radiates',
    'Ferrite on its leads near the box, the box away from antenna and amplifier.',
  ),
  nearAntenna: cause(
    'a lead runs beside the antenna or its amplifier',
    'Lay it elsewhere; the glass antenna lies in the rear window and its pillars.',
  ),
  reversedSpeaker: cause(
    'one speaker is connected the wrong way round',
    'Pop each with 9 V: every cone the same way on plus. Turn the one that differs.',
  ),
  accessoryAlone: cause(
    'the source is live at accessory alone and drops out with the key further on',
    'A source that is live in run and with the engine; accessory alone is for what may go out then.',
  ),
  overVoltage: cause(
    'the alternator gives more than the device takes',
    'Above 15 V at the posts: the regulator, by its maker’s service information, before anything is fitted.',
  ),
  runsSignal: cause(
    'a signal lead sits on a wire that is live while the engine runs',
    'The signal’s own wire, told apart in every state: an alternator or oil lamp wire is none.',
  ),
  ignitionNoise: cause(
    'what the engine gives off upsets the device',
    'A suppressed supply, its leads away from ignition and injectors; a filter in its supply.',
  ),
  fastData: cause(
    'a fast data line or its plug radiates',
    'A shielded, short cable; the box a forearm away from the antenna it disturbs; a ferrite at each end.',
  ),
  besideKeys: cause(
    'the device lies beside the receiver of keys or tyre sensors',
    'A forearm away from it; look where the car’s maker has put it.',
  ),
  ownFused: cause(
    'a supply with a fuse of its own, from a slot or the battery',
    'Read its fuse and both ends, write them on a label; proved like a lead of your own before you count on it.',
  ),
  ownSpliced: cause(
    'a supply spliced into a wire of the car, without a fuse',
    'Out again, or a fuse within a hand of the splice; the car’s wire mended and insulated.',
  ),
  leftOver: cause(
    'a left-over of something that was taken out',
    'Off at its source, its ends capped one by one, the car’s wire as it was.',
  ),
  alarmOrKill: cause(
    'an alarm, an immobiliser or a tracker that interrupts a circuit',
    'Leave it alone until the owner says what it is: cut, the car may not start. Ask for its papers and its key.',
  ),
  signalOnly: cause(
    'a signal lead that carries next to nothing',
    'Follow it to the box that listens; never feed anything from it.',
  ),
  factory: cause(
    'the car’s own: a plug, a branch or a repair by its maker',
    'It stays. The maker’s diagram says what it is.',
  ),
  wrongChannel: cause('two channels are swapped', 'Balance and fader to each corner in turn.'),
} as const;
/** One cause. */
export type CauseId = keyof typeof CAUSES;

interface Cause {
  /** What is wrong, as the end of a sentence. */
  readonly name: string;
  /** What is done about it. */
  readonly mend: string;
}

function cause(name: string, mend: string): Cause {
  return { name, mend };
}
