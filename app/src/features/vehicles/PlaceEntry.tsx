import type { FieldProblem } from '@lucky-thread/contract';
import { RELAY_TERMINALS } from '@lucky-thread/core/vehicle';
import { StyleSheet, View } from 'react-native';
import { Field } from '../../ui/Field';
import { SPACE } from '../../ui/tokens';
import { Toggle } from '../../ui/Toggle';
import { Words } from '../../ui/Words';
import type { PlaceDraft, ReadPlace } from './drafts/placeDraft';
import { PanelEntry } from './PanelEntry';
import { WiresEntry } from './WiresEntry';

/** Props of {@link PlaceEntry}. */
export interface PlaceEntryProps {
  /** What was typed so far. */
  readonly draft: PlaceDraft;
  /** What was made of it so far. */
  readonly read: ReadPlace;
  /** What is wrong with what was typed, with where. */
  readonly problems: readonly FieldProblem[];
  /** A step of one name is taken back as one. */
  readonly onDraft: (changed: Partial<PlaceDraft>, step: string) => void;
  /** A picture of the lid is being worked with: nothing is saved before it is taken over or left. */
  readonly pictured: boolean;
  /** Called when a picture is taken to, or left for typing. */
  readonly onPictured: (pictured: boolean) => void;
}

/** What a place holds, each kind in its own way. */
export function PlaceEntry(props: PlaceEntryProps) {
  const { draft, read, problems, onDraft } = props;
  const at = (path: string): string | undefined =>
    problems.find((one) => one.path === path || one.path.startsWith(`${path}.`))?.message;
  switch (draft.kind) {
    case 'fusePanel':
      return (
        <PanelEntry
          draft={draft.panel}
          read={read}
          name={draft.name}
          location={draft.location}
          problem={at('slots')}
          pictured={props.pictured}
          onPictured={props.onPictured}
          onDraft={(changed, step) => onDraft({ panel: { ...draft.panel, ...changed } }, step)}
        />
      );
    case 'connector':
    case 'loom':
    case 'socketOutlet':
      return (
        <>
          <WiresEntry
            draft={draft.wires}
            read={read}
            grid={draft.kind === 'connector'}
            problem={at('wires')}
            onDraft={(changed, step) => onDraft({ wires: { ...draft.wires, ...changed } }, step)}
          />
          <Harness draft={draft} at={at} onDraft={onDraft} />
        </>
      );
    case 'relaySocket':
      return <Terminals draft={draft} problem={at('terminals')} onDraft={onDraft} />;
    case 'stud':
    case 'groundPoint':
      return (
        <Field
          label={draft.kind === 'stud' ? 'Its studs' : 'Its bolts'}
          hint="a name and its thread each: B1 M8, B2 M6"
          testID="points-text"
          value={draft.points}
          problem={read.typed[0]?.message ?? at('points')}
          onChange={(points) => onDraft({ points }, 'points')}
        />
      );
  }
}

/** How a plug is keyed, and which harness its colours belong to. */
function Harness(
  props: Pick<PlaceEntryProps, 'draft' | 'onDraft'> & {
    readonly at: (path: string) => string | undefined;
  },
) {
  const { draft, at, onDraft } = props;
  return (
    <View style={styles.stack}>
      {draft.kind === 'connector' && (
        <Field
          label="How the plug is keyed"
          hint="e.g. grey, two tabs above, a rib at the left"
          testID="place-keying"
          value={draft.keying}
          problem={at('keying')}
          onChange={(keying) => onDraft({ keying }, 'keying')}
        />
      )}
      <Field
        label="Harness that the colours belong to"
        hint="e.g. body harness, 2016 on"
        testID="place-harness"
        value={draft.harness}
        problem={at('harness')}
        onChange={(harness) => onDraft({ harness }, 'harness')}
      />
    </View>
  );
}

function Terminals({
  draft,
  problem,
  onDraft,
}: Pick<PlaceEntryProps, 'draft' | 'onDraft'> & { readonly problem: string | undefined }) {
  const { terminals } = draft;
  return (
    <View style={styles.stack}>
      <Words kind="label">Terminals that the socket has</Words>
      <View style={styles.row}>
        {RELAY_TERMINALS.map((terminal) => (
          <Toggle
            key={terminal}
            label={terminal}
            state={terminals.includes(terminal) ? 'there' : '–'}
            on={terminals.includes(terminal)}
            testID={`terminal-${terminal}`}
            onChange={(on) =>
              onDraft(
                {
                  terminals: RELAY_TERMINALS.filter((one) =>
                    one === terminal ? on : terminals.includes(one),
                  ),
                },
                `terminal ${terminal}`,
              )
            }
          />
        ))}
      </View>
      {problem !== undefined && <Words kind="small">✕ {problem}</Words>}
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs },
});
