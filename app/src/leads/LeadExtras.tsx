import type { FeedInput } from '@lucky-thread/contract';
import { capacitorInrush, numberProblems } from '@lucky-thread/core/size';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../ui/ActionButton';
import { NumberField } from '../ui/NumberField';
import { SPACE } from '../ui/tokens';

/** What a feed's label may say besides: inrush, and what it draws while the car is parked. */
export function LeadExtras(props: {
  readonly feed: FeedInput;
  readonly index: number;
  readonly problemOf: (field: keyof FeedInput) => string | undefined;
  readonly onFeed: (feed: FeedInput) => void;
}) {
  const { feed, index, problemOf: at, onFeed } = props;
  const [open, setOpen] = useState(false);
  const [capacitorUF, setCapacitorUF] = useState<number>();
  if (!open)
    return (
      <ActionButton
        kind="quiet"
        label="Inrush, parked current…"
        testID={`extras-${index}`}
        onPress={() => setOpen(true)}
      />
    );
  const put = (changed: {
    [Key in 'inrushA' | 'inrushS' | 'standbyA']?: number | undefined;
  }): void => {
    const entries = Object.entries({ ...feed, ...changed }).filter(
      ([, value]) => value !== undefined,
    );
    onFeed(Object.fromEntries(entries) as unknown as FeedInput);
  };
  return (
    <View style={styles.stack}>
      <NumberField
        label="Inrush"
        of={{ unit: 'A' }}
        value={feed.inrushA}
        problem={at('inrushA')}
        testID={`inrush-${index}`}
        onValue={(inrushA) => put({ inrushA })}
      />
      <NumberField
        label="Inrush lasts"
        of={{ unit: 's' }}
        value={feed.inrushS}
        problem={at('inrushS')}
        testID={`inrush-time-${index}`}
        onValue={(inrushS) => put({ inrushS })}
      />
      <NumberField
        label="Or its input capacitor"
        of={{ unit: 'µF' }}
        value={capacitorUF}
        problem={
          capacitorUF === undefined ? undefined : numberProblems({ capacitorUF })[0]?.message
        }
        hint="Gives the inrush at 14.4 V through 0.1 Ω"
        testID={`capacitor-${index}`}
        onValue={(microfarads) => {
          setCapacitorUF(microfarads);
          if (microfarads === undefined || numberProblems({ capacitorUF: microfarads }).length > 0)
            return;
          const { peakA, peakS } = capacitorInrush(microfarads);
          put({ inrushA: peakA, inrushS: peakS });
        }}
      />
      <NumberField
        label="While parked"
        of={{ unit: 'A' }}
        value={feed.standbyA}
        problem={at('standbyA')}
        testID={`standby-${index}`}
        onValue={(standbyA) => put({ standbyA })}
      />
    </View>
  );
}

const styles = StyleSheet.create({ stack: { gap: SPACE.s } });
