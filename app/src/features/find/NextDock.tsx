import type { NextAction, Visit } from '@lucky-thread/core/identify';
import type { StitchPlace, VehicleState } from '@lucky-thread/core/vehicle';
import { PLACE_WORDS, placeOf, stateId } from '@lucky-thread/core/vehicle';
import type { ReactNode } from 'react';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { TestDrawing } from '../../instruments/TestDrawing';

/** Where the car and the clip are now, and what is to be touched there first. */
export type Arrival = Pick<Visit, 'state' | 'sourceIds' | 'clip'>;

/** Props of {@link NextDock}. */
export interface NextDockProps {
  /** What to do next; undefined when nothing is. */
  readonly next: NextAction | undefined;
  /** Whether the answer to the newest readings is still being worked out. */
  readonly thinking: boolean;
  /** State that the vehicle is in. */
  readonly state: VehicleState;
  /** Places that were put off. */
  readonly deferred: readonly StitchPlace[];
  /** The car was brought to the state of the visit. */
  readonly onArrived: (at: Arrival) => void;
  /** Where the instrument is clipped now. */
  readonly clip: 'ground' | 'constant';
  /** Called to put a place off, or to take it up again. */
  readonly onDefer: (place: StitchPlace, deferred: boolean) => void;
  /** Called once everything is known that is to be found. */
  readonly onFilled: () => void;
  /** Feeds that the device works without, by id. */
  readonly spare: ReadonlySet<string>;
  /** What the device calls a feed. */
  readonly nameOf: (feedId: string) => string;
  /** How many feeds have a source. */
  readonly found: number;
  /** Enters another slot; undefined where there are no others. */
  readonly onMore?: (() => void) | undefined;
  /** Where the handbook's words on a slot are entered. */
  readonly lookUp: (sourceId: string) => ReactNode;
}

/** What to do next, in one sentence, with the one button for it. */
export const NextDock = memo(function NextDock(props: NextDockProps) {
  const { next } = props;
  if (next === undefined)
    return (
      <View style={styles.waiting}>
        <Words soft testID="next">
          Working out the next test…
        </Words>
      </View>
    );
  return (
    <View style={styles.dock} aria-live="polite" aria-busy={props.thinking}>
      <View style={styles.said}>
        <View style={styles.words}>
          <Words kind="instruction" testID="next">
            {next.instruction}
          </Words>
          {(next.kind === 'visit' || next.kind === 'handbook' || next.kind === 'pair') && (
            <Words kind="small" soft>
              {next.kind === 'handbook' ? `${next.because} About ${next.seconds} s.` : next.because}
            </Words>
          )}
          {next.kind === 'exhausted' && (
            <Words kind="small" soft testID="not-found">
              {`Without a source: ${next.needIds.map(props.nameOf).join(', ')}.`}
            </Words>
          )}
        </View>
        {next.kind === 'visit' && <TestDrawing state={next.visit.state} />}
      </View>
      {(next.kind === 'visit' || next.kind === 'pair') && next.caution !== undefined && (
        <Caution>{next.caution}</Caution>
      )}
      <NextButtons {...props} next={next} />
    </View>
  );
});

function NextButtons(props: NextDockProps & { readonly next: NextAction }) {
  const { next } = props;
  switch (next.kind) {
    case 'filled':
      return (
        <ActionButton
          kind="next"
          label="Choose the taps"
          testID="go-choose"
          onPress={props.onFilled}
        />
      );
    case 'deferred':
      return (
        <View style={styles.row}>
          {next.places.map((place) => (
            <ActionButton
              key={place}
              label={`Take it now: ${PLACE_WORDS[place]}`}
              style={styles.grow}
              onPress={() => props.onDefer(place, false)}
            />
          ))}
        </View>
      );
    case 'handbook':
      return <>{props.lookUp(next.sourceId)}</>;
    case 'exhausted':
      return <NotFound {...props} needIds={next.needIds} />;
    case 'visit':
      return <VisitButtons {...props} visit={next.visit} />;
    case 'pair':
      return <PairButtons {...props} pair={next} />;
  }
}

/** The car is to be brought somewhere: done, or left for later; nothing where it is there already. */
function VisitButtons(
  props: NextDockProps & { readonly visit: Extract<NextAction, { kind: 'visit' }>['visit'] },
) {
  const { visit } = props;
  const { place, state, clip = 'ground' } = visit;
  if (stateId(props.state) === stateId(state) && props.clip === clip) return null;
  return (
    <View style={styles.row}>
      <ActionButton
        kind="next"
        label={arrivedAt(visit, props.state)}
        testID="arrived"
        style={styles.grow}
        onPress={() => props.onArrived(visit)}
      />
      {DEFERRABLE.includes(place) && (
        <ActionButton
          label="Later"
          spoken={`Leave ${PLACE_WORDS[place]} for later`}
          testID="defer"
          onPress={() => props.onDefer(place, true)}
        />
      )}
    </View>
  );
}

/** Two wires are measured against each other with the key off; whoever knows that the car has no more speakers need not try on. */
function PairButtons(
  props: NextDockProps & { readonly pair: Extract<NextAction, { kind: 'pair' }> },
) {
  const { state, plusId, needIds } = props.pair;
  const isThere = stateId(props.state) === stateId(state);
  return (
    <>
      {!isThere && (
        <ActionButton
          kind="next"
          label={`It is: ${PLACE_WORDS[placeOf(state)]}`}
          testID="arrived"
          onPress={() => props.onArrived({ state, sourceIds: [plusId] })}
        />
      )}
      {props.found > 0 && needIds.every((id) => props.spare.has(id)) && (
        <ActionButton
          kind="quiet"
          label="The car has no more speakers: go on"
          testID="no-more-speakers"
          onPress={props.onFilled}
        />
      )}
    </>
  );
}

/** Ways on where something is on none of the sources: enter more, go on without a lead that may be left off, or with the rest. */
function NotFound(props: NextDockProps & { readonly needIds: readonly string[] }) {
  const { onMore, needIds, spare, found } = props;
  const isSpare = needIds.every((id) => spare.has(id));
  return (
    <View style={styles.row}>
      {onMore !== undefined && (
        <ActionButton
          kind={isSpare ? 'plain' : 'next'}
          label="Enter another slot"
          testID="enter-another"
          style={styles.grow}
          onPress={onMore}
        />
      )}
      {found > 0 && (
        <ActionButton
          kind={isSpare ? 'next' : 'plain'}
          label={isSpare ? 'Go on without it' : 'Go on with the others'}
          testID="go-choose"
          style={styles.grow}
          onPress={props.onFilled}
        />
      )}
    </View>
  );
}

/** State and clip in a few words; where the car stays as it is, the clip alone. */
function arrivedAt({ place, state, clip = 'ground' }: Visit, now: VehicleState): string {
  if (stateId(now) === stateId(state)) return `Clip is on ${CLIP_WORDS[clip]}`;
  return `It is: ${PLACE_WORDS[place]}${clip === 'constant' ? ', clip on plus' : ''}`;
}

const CLIP_WORDS = { ground: 'bare metal', constant: 'plus' } as const;

/** Visits that cost waiting, risk or noise may be put off. */
const DEFERRABLE: readonly StitchPlace[] = ['asleep', 'crank', 'engine', 'rolling'];

/** About as high as an instruction with its reason and its button: what is under the thumb stays there when it comes. */
const ANSWERED_PX = 170;

const styles = StyleSheet.create({
  waiting: { minHeight: ANSWERED_PX },
  dock: { gap: SPACE.s },
  said: { flexDirection: 'row', gap: SPACE.s, alignItems: 'flex-start' },
  words: { flex: 1, gap: SPACE.xs },
  row: { flexDirection: 'row', gap: SPACE.s, flexWrap: 'wrap' },
  grow: { flexGrow: 1 },
});
