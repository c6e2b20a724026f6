import type { InsulationC } from '../size';
import { INSULATIONS_C, ampacityAtA } from '../size';
import type { JoinMethod, JoinPlace, JoinTool, MethodFacts } from './methods';
import { JOIN_METHODS, METHOD_FACTS } from './methods';
import type { Schools } from './schools';

/** What a join has to stand, and who makes it. */
export interface JoinGiven {
  /** Where the lead is joined to. */
  readonly place: JoinPlace;
  /** Continuous current of the lead, A. */
  readonly currentA: number;
  /** The car's wire at the place, mm²: a tap is sized for this one. */
  readonly carMm2?: number | undefined;
  /** Load that the car's wire carries already, A; 0 when left out. */
  readonly presentA?: number | undefined;
  /** Cross-section of the lead, mm². */
  readonly addedMm2: number;
  /** Whether water gets there. */
  readonly moist?: boolean | undefined;
  /** Whether it shakes there. */
  readonly vibrates?: boolean | undefined;
  /** Hottest air there, °C. */
  readonly heatC?: number | undefined;
  /** Room at the place, mm. */
  readonly roomMm?: number | undefined;
  /** How far it must be undone: nothing left (a lease), mended, or as may be. */
  readonly reversible: 'no trace' | 'mended' | 'any';
  /** What kind of circuit is joined. */
  readonly circuit: 'power' | 'signal' | 'speaker' | 'data' | 'restraint';
  /** Of who makes it: 1 anybody, 2 practised, 3 skilled. */
  readonly skill?: 1 | 2 | 3 | undefined;
  /** Tools at hand; all when left out. */
  readonly tools?: readonly JoinTool[] | undefined;
  /** How the shop joins where several ways would do. */
  readonly school: Schools['joining'];
  /** Whether a tap that fits the slot is at hand. */
  readonly tapFits?: boolean | undefined;
  /** Whether there is a harness made for this connector. */
  readonly adapterExists?: boolean | undefined;
  /** Whether a bulletin or damage report speaks against this place on this model (H14). */
  readonly alert?: string | undefined;
}

/** A way that may be gone, with what speaks for and against it. */
export interface MethodChoice {
  /** Which way it is. */
  readonly method: JoinMethod;
  /** What the trade calls it. */
  readonly name: string;
  /** More is better; comparable within one question only. */
  readonly score: number;
  /** What speaks for it, and the numbers. */
  readonly why: readonly string[];
  /** What to mind. */
  readonly cautions: readonly string[];
  /** Named as one wherever it is offered. */
  readonly lastResort: boolean;
  /** The lead gets its own fuse at the joint. */
  readonly wantsFuse: boolean;
}

/** A way that may not be gone: the constraint, and the cheapest way out. */
export interface MethodRefusal {
  /** Which way it is. */
  readonly method: JoinMethod;
  /** What the trade calls it. */
  readonly name: string;
  /** The limit that it breaks. */
  readonly constraint: string;
  /** The cheapest way round that. */
  readonly wayOut: string;
}

/** All ways, best first, and those refused. */
export interface Methods {
  /** Ways that may be gone, best first. */
  readonly ranked: readonly MethodChoice[];
  /** Ways that may not. */
  readonly refused: readonly MethodRefusal[];
}

/** What the shop's school is worth, against a method's own worth between 0 and 1. */
const SCHOOL_WORTH: Record<Schools['joining'], Partial<Record<JoinMethod, number>>> = {
  'quick taps': { displacementTap: 0.5, fuseTap: 0.1 },
  'crimp only': { crimpSealed: 0.2, crimpPlain: 0.15, inlineFusedTap: 0.15, solderShrink: -0.3 },
  'solder and shrink': { solderShrink: 0.35, crimpPlain: -0.2, displacementTap: -0.2 },
};
/** What a match of the car's wire within the middle of a tap's range is worth, and a cut. */
const CUT_COST = 0.15;
const WRONG_SKILL_COST = 0.25;
/** A fuse sits within so much lead of its source. Common practice: 45 cm (18 in). */
export const FUSE_WITHIN = 'within about 45 cm (18 in) of the joint';

/** Which way to join a lead, best first, with reasons; refusals name the constraint and the cheapest way out. */
export function chooseMethod(given: JoinGiven): Methods {
  const ranked: MethodChoice[] = [];
  const refused: MethodRefusal[] = [];
  for (const method of JOIN_METHODS) {
    const facts = METHOD_FACTS[method];
    if (!facts.places.includes(given.place)) continue;
    const refusal = refusalOf(method, facts, given);
    if (refusal !== undefined) refused.push({ method, name: facts.name, ...refusal });
    else ranked.push(weighed(method, facts, given));
  }
  // Where it shakes, what shaking breaks is never first.
  const breaks = (one: MethodChoice): number =>
    given.vibrates === true && !METHOD_FACTS[one.method].stands.vibration ? 1 : 0;
  ranked.sort(
    (left, right) =>
      breaks(left) - breaks(right) ||
      right.score - left.score ||
      JOIN_METHODS.indexOf(left.method) - JOIN_METHODS.indexOf(right.method),
  );
  return { ranked, refused };
}

type Grounds = Pick<MethodRefusal, 'constraint' | 'wayOut'>;

function refusalOf(method: JoinMethod, facts: MethodFacts, given: JoinGiven): Grounds | undefined {
  if (given.circuit === 'restraint')
    return grounds('Airbag and belt circuits are never joined.', 'Take another circuit.');
  if (given.circuit === 'data' && method !== 'plugHarness')
    return grounds(
      'A data pair is not joined by hand.',
      'Use an interface made for the car that plugs in.',
    );
  if (given.alert !== undefined)
    return grounds(
      `Known damage here: ${given.alert}.`,
      given.place === 'slot' ? 'Take another slot.' : 'Take a slot in the fuse box instead.',
    );
  const roomA = roomInWire(given);
  if (roomA !== undefined && given.currentA > roomA)
    return grounds(
      `The car’s ${given.carMm2} mm² wire has room for ${roomA.toFixed(1)} A beside its own load; ${given.currentA} A is too much for it.`,
      'Feed it from the battery through its own fuse and a relay, with this wire as the trigger.',
    );
  if (given.currentA > facts.maxA)
    return grounds(
      `${given.currentA} A is more than the ${facts.maxA} A of a ${facts.name}.`,
      'Feed it from the battery through its own fuse and a relay.',
    );
  if (given.reversible === 'no trace' && facts.trace !== 'none')
    return grounds(
      'The job must leave no trace; this one touches the car’s wire.',
      'Use a slot, a plug-in harness or a stud.',
    );
  if (given.reversible === 'mended' && facts.trace === 'cut')
    return grounds('The car’s wire must not be cut.', 'Solder onto it, or use a slot.');
  if (facts.carMm2 !== undefined && given.carMm2 !== undefined) {
    const [low, high] = facts.carMm2;
    if (given.carMm2 < low * 0.95 || given.carMm2 > high * 1.05)
      return grounds(
        `The car’s ${given.carMm2} mm² wire is out of its ${low} to ${high} mm².`,
        'Choose a joint made for that wire, or another source.',
      );
  }
  return refusalByPlace(method, facts, given);
}

/** A car's wire is laid for where it lies: its insulation stands so much more than the air there, °C. Common practice. */
const LAID_FOR_C = 20;
/** Air of a cabin, °C. */
const CABIN_C = 30;

/** Insulation that a car's wire is taken for where nobody knows it, °C: the least that is laid there. */
function unknownInsulation(heatC: number | undefined): InsulationC {
  return INSULATIONS_C.find((one) => one > (heatC ?? CABIN_C) + LAID_FOR_C) ?? 125;
}

/** What a car's wire carries beside its own load, A; undefined where no wire of the car carries the added current. */
function roomInWire(given: JoinGiven): number | undefined {
  if (given.carMm2 === undefined || given.place !== 'wire') return undefined;
  const carriesA = ampacityAtA(given.carMm2, unknownInsulation(given.heatC), {
    ambientC: given.heatC,
  });
  return Math.max(0, carriesA - (given.presentA ?? 0));
}

function refusalByPlace(
  method: JoinMethod,
  facts: MethodFacts,
  given: JoinGiven,
): Grounds | undefined {
  if (given.moist === true && !facts.stands.moisture && given.place !== 'slot')
    return grounds('It is not tight against water.', 'Take a sealed splice with adhesive.');
  if ((given.heatC ?? 0) > facts.stands.heatC)
    return grounds(
      `${given.heatC ?? 0} °C is more than its ${facts.stands.heatC} °C.`,
      'Join it farther from the heat.',
    );
  if (given.roomMm !== undefined && given.roomMm < facts.roomMm)
    return grounds(
      `It needs ${facts.roomMm} mm of room, there are ${given.roomMm}.`,
      'Open the sheath farther, or join it where there is room.',
    );
  if (method === 'fuseTap' && given.tapFits === false)
    return grounds(
      'No tap fits this slot.',
      'Tap the wire behind the panel, or take another slot.',
    );
  if ((method === 'plugHarness' || method === 'mirrorPlug') && given.adapterExists !== true)
    return grounds('No harness for this connector is known.', 'Splice behind it, or use a slot.');
  const missing = facts.tools.filter((tool) => given.tools?.includes(tool) === false);
  if (missing.length > 0)
    return grounds(
      `Missing: ${missing.map((tool) => TOOL_NAMES[tool]).join(', ')}.`,
      'Get the tool, or take a way that does without.',
    );
  return undefined;
}

const TOOL_NAMES: Record<JoinTool, string> = {
  crimper: 'crimping tool',
  iron: 'soldering iron',
  heatGun: 'heat gun',
  stripper: 'wire stripper',
  spanner: 'spanner',
};

function grounds(constraint: string, wayOut: string): Grounds {
  return { constraint, wayOut };
}

function weighed(method: JoinMethod, facts: MethodFacts, given: JoinGiven): MethodChoice {
  const bySchool = SCHOOL_WORTH[given.school][method] ?? 0;
  const shaken = given.vibrates === true && !facts.stands.vibration;
  const beyond = given.skill !== undefined && given.skill < facts.skill;
  const score =
    facts.worth +
    bySchool -
    (facts.trace === 'cut' ? CUT_COST : 0) -
    (shaken ? 0.3 : 0) -
    (beyond ? WRONG_SKILL_COST : 0);
  return {
    method,
    name: facts.name,
    score,
    why: [
      `Carries ${facts.maxA} A; ${given.currentA} A are wanted.`,
      TRACE_WORDS[facts.trace],
      ...(given.moist === true && facts.stands.moisture ? ['Tight against water.'] : []),
      ...(bySchool > 0 ? [`The shop’s way: ${given.school}.`] : []),
      ...(bySchool < 0 ? [`Not the shop’s way (${given.school}).`] : []),
    ],
    cautions: [
      ...(facts.lastResort
        ? [
            'Last resort: it nicks thin wire, works loose and lets water in. Only where nothing else goes.',
          ]
        : []),
      ...(shaken ? ['It shakes here: support the wire on both sides of the joint.'] : []),
      ...(beyond ? ['Wants a practised hand.'] : []),
      ...(facts.wantsFuse ? [`The tapped lead gets its own fuse ${FUSE_WITHIN}.`] : []),
      ...(method === 'solderShrink'
        ? ['Iron and heat gun away from trim, fabric and fuel; never an open flame near the loom.']
        : []),
      ...(facts.trace === 'cut' && given.circuit === 'power'
        ? ['Fuse out or battery off before the wire is cut; one wire at a time.']
        : []),
    ],
    lastResort: facts.lastResort,
    wantsFuse: facts.wantsFuse,
  };
}

const TRACE_WORDS: Record<MethodFacts['trace'], string> = {
  none: 'Leaves no trace.',
  mended: 'The car’s wire stays whole; a sleeve mends it when it is undone.',
  cut: 'The car’s wire is cut.',
};

/** A kit that ends in a plug for the car's socket: keep the plug, or cut it off (Q81). */
export function plugEndedKit(given: {
  /** Fuse in the plug, A; undefined when it has none. */
  readonly plugFuseA: number | undefined;
  /** Whether a converter sits in the plug, so that its lead carries less than 12 V. */
  readonly converterInPlug: boolean;
  /** Whether a socket can be hidden near the source. */
  readonly roomForSocket: boolean;
  readonly reversible: JoinGiven['reversible'];
}): { readonly keep: boolean; readonly because: string; readonly fuse: string } {
  if (given.converterInPlug)
    return {
      keep: true,
      because:
        'The plug holds the converter: cut off, the device gets 12 V instead of 5 V and dies.',
      fuse: 'Fuse the hidden socket’s lead near the source for the socket’s wire.',
    };
  if (given.roomForSocket || given.reversible === 'no trace')
    return {
      keep: true,
      because: 'The kit stays whole, keeps its warranty and moves to the next car.',
      fuse: 'Fuse the hidden socket’s lead near the source for the socket’s wire; the plug keeps its own.',
    };
  return {
    keep: false,
    because: 'No room for a socket.',
    fuse: `Its fuse went with the plug: put ${given.plugFuseA === undefined ? 'a fuse for the device’s current' : `the same ${given.plugFuseA} A`} near the source, in the tap or in line.`,
  };
}
