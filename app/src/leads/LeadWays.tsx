import { LEAD_DIRECTIONS, POLARITIES } from '@lucky-thread/contract';
import type { FeedInput, LeadDirection, LeadPolarity } from '@lucky-thread/contract';
import { isSpeakerLead, isTrigger } from '@lucky-thread/core/identify';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { NumberField } from '../ui/NumberField';
import { Toggle } from '../ui/Toggle';
import { SPACE } from '../ui/tokens';

/** What a lead gives or takes, whether the device works without it, and what its supply must stand. */
export function LeadWays(props: {
  readonly feed: FeedInput;
  readonly index: number;
  readonly leftOffProblem: string | undefined;
  readonly setAtProblem: string | undefined;
  readonly outputProblem: string | undefined;
  readonly onFeed: (feed: FeedInput) => void;
}) {
  const { feed, index, onFeed } = props;
  if (feed.role === 'ground') return null;
  const put = (changed: Partial<FeedInput>): void => onFeed({ ...feed, ...changed });
  return (
    <View style={styles.stack}>
      {isTrigger(feed.role) && !isSpeakerLead(feed.role) && (
        <Choice
          label="Polarity"
          even
          testID={`polarity-${index}`}
          options={POLARITIES.map((one) => ({ value: one, label: POLARITY_WORDS[one] }))}
          value={feed.polarity ?? 'plus'}
          onChange={(polarity) => put({ polarity })}
        />
      )}
      {isTrigger(feed.role) && feed.polarity === 'set' && (
        <Field
          label="Where it is set"
          hint="A jumper, a switch, a step of its set-up: as the kit says"
          testID={`set-at-${index}`}
          value={feed.setAt ?? ''}
          problem={props.setAtProblem}
          onChange={(setAt) => onFeed(withSetAt(feed, setAt))}
        />
      )}
      <Toggle
        label="Works without it"
        state={feed.optional === true ? 'may be left off' : 'needed'}
        on={feed.optional === true}
        testID={`optional-${index}`}
        onChange={(optional) => put({ optional })}
      />
      {feed.optional === true && (
        <Field
          label="What does not work then"
          testID={`left-off-${index}`}
          value={feed.leftOff ?? ''}
          problem={props.leftOffProblem}
          onChange={(leftOff) => onFeed(withLeftOff(feed, leftOff))}
        />
      )}
      {isTrigger(feed.role) && !isSpeakerLead(feed.role) && (
        <Choice
          label="Direction"
          even
          testID={`direction-${index}`}
          options={LEAD_DIRECTIONS.map((one) => ({ value: one, label: DIRECTION_WORDS[one] }))}
          value={feed.direction ?? 'in'}
          onChange={(direction) => put({ direction })}
        />
      )}
      {!isTrigger(feed.role) && (
        <NumberField
          label="Its converter gives (empty: none)"
          of={{ unit: 'V' }}
          value={feed.outputV}
          problem={props.outputProblem}
          testID={`output-${index}`}
          onValue={(outputV) => onFeed(withOutput(feed, outputV))}
        />
      )}
      {feed.role === 'switched' && (
        <Toggle
          label="While cranking"
          state={feed.holdsCranking === true ? 'must hold' : 'may drop'}
          on={feed.holdsCranking === true}
          testID={`holds-${index}`}
          onChange={(holdsCranking) => put({ holdsCranking })}
        />
      )}
    </View>
  );
}

/** A feed that says where its polarity is set; nothing where the words are wiped out. */
function withSetAt(feed: FeedInput, words: string): FeedInput {
  const { setAt: _before, ...rest } = feed;
  return words === '' ? rest : { ...rest, setAt: words };
}

/** A feed with other words on what is missing without it; none where they are wiped out. */
function withLeftOff(feed: FeedInput, words: string): FeedInput {
  const { leftOff: _before, ...rest } = feed;
  return words === '' ? rest : { ...rest, leftOff: words };
}

/** A feed with a converter behind it; none where nothing is said. */
function withOutput(feed: FeedInput, outputV: number | undefined): FeedInput {
  const { outputV: _before, ...rest } = feed;
  return outputV === undefined ? rest : { ...rest, outputV };
}

const DIRECTION_WORDS: Record<LeadDirection, string> = {
  in: 'Takes it',
  out: 'Drives it',
  both: 'Both ways',
};

const POLARITY_WORDS: Record<LeadPolarity, string> = {
  plus: 'Plus',
  ground: 'Ground',
  set: 'By its setting',
};

const styles = StyleSheet.create({ stack: { gap: SPACE.s } });
