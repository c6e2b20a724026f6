import { readOnce } from '../identify/legend/readLabel';
import type { FeedSize, TerminalChoice } from '../size';
import { sleeveFor } from '../size';
import type { Joinable, Slot } from '../vehicle';
import { isConductor } from '../vehicle';
import type { Methods } from './chooseMethod';
import { chooseMethod } from './chooseMethod';
import type { GroundChoice, GroundGiven } from './ground';
import { chooseGround } from './ground';
import type { Headroom } from './headroom';
import { headroom, originalLoad } from './headroom';
import type { HolderFit } from './holders';
import { holderFor } from './holders';
import type { TapCurrents } from './orientation';
import { tapCurrents } from './orientation';
import type { Schools } from './schools';
import { gaugeOf } from './carriedBy';
import type { LoadKind } from './joinRoom';
import { joinRoom } from './joinRoom';

/** What a feed's sheet is made from. */
export type SheetGiven = SheetBase &
  (
    | { readonly slot: Slot & { readonly ratingA: number } }
    /** The car's wire that is spliced, the terminal or the stud. */
    | { readonly wire: Joinable }
  );

interface SheetBase {
  /** Current of the feed at 12 V, A. */
  readonly currentA: number;
  /** What the lead means for a wire; a load beside its own when left out. */
  readonly kind?: LoadKind | undefined;
  /** The original circuit as measured with a clamp, A. */
  readonly measuredA?: number | undefined;
  /** What another tap in the same slot already feeds, A. */
  readonly sharedA?: number | undefined;
  /** Fuse of the car that feeds the wire, terminal or stud, A. */
  readonly feedFuseA?: number | undefined;
  readonly size: FeedSize;
  /** Cross-section of the lead that is crimped, mm²; the size's own when left out. */
  readonly leadMm2?: number | undefined;
  readonly schools: Schools;
  /** How far the work must be undone one day. */
  readonly reversible: 'no trace' | 'mended' | 'any';
  readonly engineSpace?: boolean | undefined;
  /** Damage that is known at the source, in words. */
  readonly alert?: string | undefined;
  /** What is known of grounds within reach; without it bare metal is the answer. */
  readonly ground?: Partial<Omit<GroundGiven, 'currentA' | 'school'>> | undefined;
}

/** Everything that is decided about one feed beside its fuse and wire. */
export interface FeedSheet {
  /** How a fuse tap goes in; undefined at a wire. */
  readonly holder: HolderFit | undefined;
  /** Whether the source carries both loads. */
  readonly headroom: Headroom;
  /** Ways to join the lead, best first. */
  readonly methods: Methods;
  /** The joint of tap and lead; undefined while there is no size. */
  readonly terminal: TerminalChoice | undefined;
  /** Where the current goes back. */
  readonly ground: GroundChoice;
  /** Currents in both fuses of a tap, the right and the wrong way round, A; undefined at a wire, which has no way round. */
  readonly wayRound: { readonly right: TapCurrents; readonly wrong: TapCurrents } | undefined;
}

/** What is decided about one feed: holder, headroom, joint, terminal, ground, and what the tap does either way round. */
export function feedSheet(given: SheetGiven): FeedSheet {
  const { currentA, size } = given;
  const areaMm2 = size.ok ? (given.leadMm2 ?? size.areaMm2) : undefined;
  return {
    ...('slot' in given ? atSlot(given, areaMm2) : atWire(given, areaMm2)),
    terminal: areaMm2 === undefined ? undefined : sleeveFor([areaMm2], given.engineSpace),
    ground: chooseGround({ currentA, ...(given.ground ?? {}), school: given.schools.ground }),
  };
}

/** Cross-section that a lead is reckoned with until it is sized, mm². */
const LEAD_MM2 = 0.75;

type AtSource = Pick<FeedSheet, 'holder' | 'headroom' | 'methods' | 'wayRound'>;

function atSlot(
  given: Extract<SheetGiven, { slot: object }>,
  areaMm2: number | undefined,
): AtSource {
  const { slot, currentA, size } = given;
  const label = readOnce(slot);
  const holder = holderFor({ slot, addedA: size.ok ? size.fuseA : undefined });
  const original = originalLoad({
    ratingA: slot.ratingA,
    measuredA: given.measuredA,
    meaning: label.entries.length === 1 ? label.meaning : undefined,
  });
  return {
    holder,
    headroom: headroom(slot, original, currentA, given.sharedA),
    methods: chooseMethod({ ...joinOf(given, areaMm2), place: 'slot', tapFits: holder.fits }),
    wayRound: {
      right: tapCurrents(original.amps, currentA, true),
      wrong: tapCurrents(original.amps, currentA, false),
    },
  };
}

function atWire(
  given: Extract<SheetGiven, { wire: object }>,
  areaMm2: number | undefined,
): AtSource {
  const { wire, kind, currentA, measuredA, sharedA, feedFuseA } = given;
  const isBeside = (kind ?? 'beside') === 'beside';
  return {
    holder: undefined,
    headroom: joinRoom(wire, currentA, { kind, measuredA, sharedA, feedFuseA }),
    methods: chooseMethod({
      ...joinOf(given, areaMm2),
      ...placeOf(wire, (isBeside ? (measuredA ?? 0) : 0) + (sharedA ?? 0)),
    }),
    wayRound: undefined,
  };
}

/** Where a lead is joined to the car. */
function placeOf(source: Joinable, presentA: number) {
  if (isConductor(source)) return { place: 'wire', carMm2: gaugeOf(source), presentA } as const;
  return { place: source.kind === 'stud' ? 'stud' : 'relaySocket' } as const;
}

function joinOf(given: SheetBase, areaMm2: number | undefined) {
  return {
    currentA: given.currentA,
    addedMm2: areaMm2 ?? LEAD_MM2,
    reversible: given.reversible,
    circuit: 'power',
    school: given.schools.joining,
    moist: given.engineSpace,
    alert: given.alert,
  } as const;
}
