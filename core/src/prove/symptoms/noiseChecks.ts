import type { FaultCheck } from './faultCheck';
import { careful, check } from './faultCheck';

/** What tells where noise, interference and thin sound come from. Seconds are common practice. */
export const NOISE_CHECKS = {
  oneGround: check(
    'Signal plugs out of the amplifier, gain as it is: is the noise gone?',
    60,
    ['Still there', 'Gone'],
    { groundLoop: 1, besideSupply: 1 },
  ),
  longWire: check(
    'Ground the head unit with a loose wire to the amplifier’s ground point.',
    90,
    ['No change', 'Quieter'],
    { groundLoop: 1 },
  ),
  moveLeads: check(
    'Lift the signal leads a hand away from the supply leads.',
    90,
    ['No change', 'Quieter'],
    { besideSupply: 1 },
  ),
  unplugNoise: check(
    'Unplug the added device: is the interference gone?',
    30,
    ['Still there', 'Gone'],
    { converter: 1, nearAntenna: 1 },
  ),
  liftLead: check(
    'Lay its lead loosely through the middle of the cabin.',
    90,
    ['No change', 'Gone or much less'],
    { nearAntenna: 1 },
  ),
  ferrite: check('Clip a ferrite on its leads near the box.', 60, ['No change', 'Less'], {
    converter: 1,
  }),
  whichBand: check(
    'What suffers: long and medium wave, the higher bands, or keys and tyre sensors?',
    60,
    [
      'Everything a little',
      'Medium and long wave: hiss or whine',
      'Digital radio or satellite position',
      'Keys or tyre sensors',
    ],
    { converter: 1, fastData: 2, besideKeys: 3 },
  ),
  moveBox: check(
    'Hold the device a forearm further from the antenna or receiver that suffers.',
    60,
    ['No change', 'Gone or much less'],
    { fastData: 1, besideKeys: 1 },
  ),
  mono: check(
    'Balance to the middle, a song with much bass: then swap plus and minus of one speaker.',
    90,
    ['No change, or worse', 'Bass comes back'],
    { reversedSpeaker: 1 },
  ),
  corners: check(
    'Balance and fader to each corner in turn.',
    40,
    ['Each where it should be', 'Two are swapped'],
    { wrongChannel: 1 },
  ),
  pop: careful(
    'Only on speaker leads that are cut off from the amplifier.',
    check(
      '9 V across each pair, plus on plus: which way does each cone go?',
      120,
      ['All the same way', 'One differs'],
      { reversedSpeaker: 1 },
    ),
  ),
} as const satisfies Record<string, FaultCheck>;
