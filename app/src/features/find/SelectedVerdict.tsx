import type { FindAdvice, Reading } from '@lucky-thread/core/identify';
import type { SlotSource } from '@lucky-thread/core/vehicle';
import { isConductor } from '@lucky-thread/core/vehicle';
import type { JobContext } from '@lucky-thread/work';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { VerdictCard } from '../../panel/VerdictCard';
import { sourceTitle, warningOf } from '../../panel/sourceTitle';
import { ActionButton } from '../../ui/ActionButton';
import { SPACE } from '../../ui/tokens';
import { ColourDiffers } from './ColourDiffers';
import { HandbookEntry } from './HandbookEntry';
import { logSentence } from './logSentence';
import { useSource } from './ProbeDock';
import { SlotInHand } from './SlotInHand';

/** Props of {@link SelectedVerdict}. */
export interface SelectedVerdictProps {
  /** The job with its vehicle, device, shop and log. */
  readonly context: JobContext;
  /** The source in hand; undefined while none is. */
  readonly sourceId: string | undefined;
  /** What each source is, and what to do next; undefined until it was worked out. */
  readonly advice: FindAdvice | undefined;
  /** The source's own readings. */
  readonly own: readonly Reading[];
}

/** What the source in hand is, and what is to be put right about it. */
export function SelectedVerdict(props: SelectedVerdictProps) {
  const { context, advice, own } = props;
  const source = useSource(context, props.sourceId);
  const verdict = advice?.verdicts.find((one) => one.sourceId === source?.id);
  if (source === undefined || verdict === undefined) return null;
  const next = advice?.next;
  const isAsked = next?.kind === 'handbook' && next.sourceId === source.id;
  return (
    <View style={styles.tight}>
      <VerdictCard
        title={sourceTitle(source)}
        warning={warningOf(source)}
        verdict={verdict}
        readings={own}
        logged={logSentence(context, source.id)}
      />
      {!isAsked && source.kind === 'slot' && (
        <HandbookEntry key={`handbook ${source.id}`} model={context.model} slot={source} />
      )}
      {isConductor(source) && (
        <ColourDiffers key={`colour ${source.id}`} context={context} wireId={source.id} />
      )}
      {source.kind === 'slot' && (
        <ReadsOtherwise key={`otherwise ${source.id}`} context={context} slot={source} />
      )}
    </View>
  );
}

/** What is printed or fitted here differs from what was entered: put right on the spot. */
function ReadsOtherwise(props: { readonly context: JobContext; readonly slot: SlotSource }) {
  const { context, slot } = props;
  const [open, setOpen] = useState(false);
  if (open) return <SlotInHand context={context} slot={slot} onDone={() => setOpen(false)} />;
  return (
    <ActionButton
      kind="quiet"
      label="Legend or fuse differs here…"
      testID="reads-otherwise"
      onPress={() => setOpen(true)}
    />
  );
}

const styles = StyleSheet.create({ tight: { gap: SPACE.s } });
