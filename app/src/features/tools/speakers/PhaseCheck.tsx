import type { Heard, PhaseVerdict } from '@lucky-thread/core/sound';
import { REVERSED_SOUND, WHOLE_CAR, phaseTests, phaseVerdict } from '@lucky-thread/core/sound';
import type { SpeakerPlace } from '@lucky-thread/core/vehicle';
import { View } from 'react-native';
import { Card } from '../../../ui/Card';
import { SPACE } from '../../../ui/tokens';
import { Toggle } from '../../../ui/Toggle';
import { Words } from '../../../ui/Words';
import { ToolChoice } from '../ToolFields';

const FRONT: readonly SpeakerPlace[] = ['front left', 'front right'];
const FOUR: readonly SpeakerPlace[] = [...FRONT, 'rear left', 'rear right'];
/** What was heard of a comparison, a letter each. */
const LETTERS: Readonly<Record<string, Heard>> = { a: 'asWired', s: 'swapped' };

/** Props of {@link PhaseCheck}. */
export interface PhaseCheckProps {
  /** Front and rear, or the front alone. */
  readonly four: boolean;
  /** The cone of the front left one was seen to move out with plus on plus. */
  readonly coneSeen: boolean;
  /** What each comparison came to so far, in their order: `a` as wired, `s` swapped, `-` not heard. */
  readonly heard: string;
  /** Called with what changed. */
  readonly onChange: (changed: { four?: boolean; coneSeen?: boolean; heard?: string }) => void;
}

/** Which speaker is the wrong way round, by ear: the whole car at once, then one against one in order. */
export function PhaseCheck({ four, coneSeen, heard, onChange }: PhaseCheckProps) {
  const speakers = four ? FOUR : FRONT;
  const tests = phaseTests(speakers);
  const letters = tests.map((_, index) => heard[index] ?? '-');
  const known: Partial<Record<SpeakerPlace, Heard>> = Object.fromEntries(
    tests.flatMap(({ speaker }, index) => {
      const one = LETTERS[letters[index] ?? ''];
      return one === undefined ? [] : [[speaker, one]];
    }),
  );
  const verdict = phaseVerdict(speakers, known, coneSeen);
  return (
    <Card testID="phase-check">
      <Words kind="heading">Plus to plus, all of them</Words>
      <Words>{`First the whole car. ${WHOLE_CAR}`}</Words>
      <Words kind="small" soft>{`One reversed: ${REVERSED_SOUND}`}</Words>
      <ToolChoice
        label="Speakers"
        testID="corners"
        options={[
          ['four', 'Front and rear'],
          ['two', 'Front alone'],
        ]}
        value={four ? 'four' : 'two'}
        onChange={(value) => onChange({ four: value === 'four' })}
      />
      <Toggle
        label="Front left, by a cell: its cone was seen to move out"
        state={coneSeen ? 'yes' : 'no'}
        on={coneSeen}
        testID="cone-seen"
        onChange={(next) => onChange({ coneSeen: next })}
      />
      {tests.map(({ speaker, how }, index) => (
        <View key={speaker} style={{ gap: SPACE.xs }}>
          <Words kind="small">{`${index + 1}. ${how}`}</Words>
          <ToolChoice
            label={`Front left and ${speaker}: the bass is`}
            testID={`heard-${speaker}`}
            options={[
              ['a', 'Fuller as wired'],
              ['s', 'Fuller swapped'],
            ]}
            value={letters[index] ?? '-'}
            onChange={(value) =>
              onChange({ heard: letters.map((one, at) => (at === index ? value : one)).join('') })
            }
          />
        </View>
      ))}
      <Words kind="instruction" testID="phase-verdict">
        {verdictWords(verdict)}
      </Words>
    </Card>
  );
}

function verdictWords(verdict: PhaseVerdict): string {
  switch (verdict.kind) {
    case 'open':
      return `Next: front left and ${verdict.next.speaker}.`;
    case 'right':
      return 'All of them push together.';
    case 'swap': {
      const named = verdict.speakers.join(' and ');
      return verdict.eitherHalf
        ? `Swap plus and minus of ${named}, or of the others: half is against half, and only a cell on one of them tells which.`
        : `Swap plus and minus of ${named}, at the joint.`;
    }
  }
}
