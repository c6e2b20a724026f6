import { View } from 'react-native';
import { StyleSheet } from 'react-native';
import { ColourSystemChoice } from '../../panel/ColourSystemChoice';
import { SwatchPad } from '../../panel/SwatchPad';
import { ActionButton } from '../../ui/ActionButton';
import { Field } from '../../ui/Field';
import { SideBySide } from '../../ui/SideBySide';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { ReadPlace, WiresDraft } from './drafts/placeDraft';
import { withBase, withStripe } from './drafts/pickedColour';
import { WirePreview } from './WirePreview';

/** Props of {@link WiresEntry}. */
export interface WiresEntryProps {
  /** What was typed so far. */
  readonly draft: WiresDraft;
  /** What was made of it so far. */
  readonly read: ReadPlace;
  /** Cavities in rows and columns, or a plain list. */
  readonly grid: boolean;
  /** What is wrong, in words for people; undefined when nothing is. */
  readonly problem: string | undefined;
  /** Called with what changed, and what undoing it is called. */
  readonly onDraft: (changed: Partial<WiresDraft>, step: string) => void;
}

/** Problems that are told at once. */
const TOLD = 4;

/** The wires of a connector or loom: typed as they are seen, or picked by their colours. */
export function WiresEntry({ draft, read, grid, problem, onDraft }: WiresEntryProps) {
  const unread = read.typed.map(({ row, cell, message }) => `row ${row}, wire ${cell}: ${message}`);
  const type = (text: string): void => onDraft({ text }, `typing ${text.split(/[,;\n]/).length}`);
  return (
    <SideBySide>
      <View style={styles.stack}>
        <Field
          label={grid ? 'The wires, a line for each row of cavities' : 'The wires'}
          hint={`BK, RD/YE, gr/sw${grid ? ', – for an empty cavity' : ''}; & before one that is taped or twisted with the one before; PK > WH where pink has faded; 0.75 RD with its mm², ? where it can’t be told`}
          testID="wires-text"
          lines={3}
          value={draft.text}
          problem={unread.length === 0 ? problem : unread.slice(0, TOLD).join('; ')}
          onChange={type}
        />
        {(read.wires?.clashes === true || draft.system !== undefined) && (
          <ColourSystemChoice
            value={draft.system}
            onChange={(system) => onDraft({ system }, 'system')}
          />
        )}
        <Words kind="label">Or pick them: the colour</Words>
        <SwatchPad
          label="Colour of the next wire"
          onPick={(code) => onDraft({ text: withBase(draft.text, code) }, `pick ${draft.text}`)}
        />
        <StripePad draft={draft} onDraft={onDraft} />
        <Field
          label={grid ? 'First cavity' : 'First wire'}
          hint="1, A1 or W1: the others count on"
          testID="wires-start"
          value={draft.start}
          onChange={(start) => onDraft({ start: start.trim() }, 'start')}
        />
      </View>
      {read.wires === undefined || read.wires.wires.length === 0 ? null : (
        <WirePreview wires={read.wires} grid={grid} />
      )}
    </SideBySide>
  );
}

/** The stripe of the wire that was picked last, as long as it has none. */
function StripePad({ draft, onDraft }: Pick<WiresEntryProps, 'draft' | 'onDraft'>) {
  const stripes = withStripe(draft.text);
  if (stripes === undefined) return null;
  return (
    <View style={styles.stack}>
      <Words kind="label">{`Stripe of the last one, ${stripes.base}`}</Words>
      <View style={styles.row} role="group" aria-label="Stripe of the last wire">
        {stripes.codes.map((code) => (
          <ActionButton
            key={code}
            label={code}
            testID={`stripe-${code}`}
            onPress={() => onDraft({ text: stripes.with(code) }, `stripe ${draft.text}`)}
          />
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs },
});
