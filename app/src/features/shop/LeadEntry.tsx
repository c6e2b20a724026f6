import type { CatalogueLeadInput, DeviceOptionInput, FeedInput } from '@lucky-thread/contract';
import { StyleSheet, View } from 'react-native';
import { LeadFields } from '../../leads/LeadFields';
import { roleName } from '../../leads/roleName';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Choice } from '../../ui/Choice';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { presenceOf, withPresence } from './deviceDraft';

/** Props of {@link LeadEntry}. */
export interface LeadEntryProps {
  /** The lead as it stands. */
  readonly lead: CatalogueLeadInput;
  /** Its place among the device's, from 0. */
  readonly index: number;
  /** The device's options, one of which it may hang on. */
  readonly options: readonly DeviceOptionInput[];
  /** Whether its fields are shown; otherwise it is one line. */
  readonly open: boolean;
  /** What is wrong with one of its fields. */
  readonly problemOf: (field: keyof FeedInput) => string | undefined;
  /** Called to show its fields. */
  readonly onOpen: () => void;
  /** Called with the changed lead, and the name of the step. */
  readonly onLead: (lead: CatalogueLeadInput, step: string) => void;
  /** Takes it out; undefined for the last one. */
  readonly onRemove: (() => void) | undefined;
}

/** One lead of a device in the catalogue: in a line, or with all that is said of it. */
export function LeadEntry(props: LeadEntryProps) {
  const { lead, index } = props;
  if (!props.open)
    return (
      <Card testID={`lead-${index}`}>
        <View style={styles.line}>
          <View style={styles.grow}>
            <Words>{lead.name}</Words>
            <Words kind="small" soft>
              {lineOf(lead, props.options)}
            </Words>
          </View>
          <ActionButton
            kind="quiet"
            label="Change"
            spoken={`Change the lead ${lead.name}`}
            testID={`open-lead-${index}`}
            onPress={props.onOpen}
          />
        </View>
      </Card>
    );
  return (
    <Card testID={`lead-${index}`}>
      <LeadFields
        lead={lead}
        index={index}
        problemOf={props.problemOf}
        onLead={(next) => props.onLead(next, `lead ${lead.id}`)}
      />
      {props.options.length > 0 && <LeadPresence {...props} />}
      {props.onRemove !== undefined && (
        <ActionButton
          kind="quiet"
          label="Remove this lead"
          spoken={`Remove this lead: ${lead.name}`}
          testID={`remove-lead-${index}`}
          onPress={props.onRemove}
        />
      )}
    </Card>
  );
}

const WHEN = [
  { value: 'always', label: 'Always' },
  { value: 'with', label: 'With an option' },
  { value: 'without', label: 'Without one' },
] as const;

/** When a lead is there: always, with one of the options, or without it. */
function LeadPresence({ lead, index, options, onLead }: LeadEntryProps) {
  const presence = presenceOf(lead);
  const [first] = options;
  const put = (when: typeof presence): void =>
    onLead(withPresence(lead, when), `when ${lead.id} ${JSON.stringify(when)}`);
  return (
    <View style={styles.stack}>
      <Words kind="label" soft>
        When it is there
      </Words>
      <Choice
        label={`When ${lead.name} is there`}
        testID={`presence-${index}`}
        options={WHEN}
        value={presence.when}
        onChange={(when) => {
          if (when === 'always') return put({ when });
          const option = presence.when === 'always' ? first?.id : presence.option;
          if (option !== undefined) put({ when, option });
        }}
      />
      {presence.when !== 'always' && (
        <Choice
          label={`The option that ${lead.name} hangs on`}
          testID={`hangs-on-${index}`}
          options={options.map(({ id, name }) => ({ value: id, label: name }))}
          value={presence.option}
          onChange={(option) => put({ when: presence.when, option })}
        />
      )}
    </View>
  );
}

function lineOf(lead: CatalogueLeadInput, options: readonly DeviceOptionInput[]): string {
  const presence = presenceOf(lead);
  const nameOf = (id: string): string => options.find((one) => one.id === id)?.name ?? id;
  return [
    roleName(lead.role),
    ...(lead.role === 'ground' ? [] : [`${lead.currentA} A at 12 V`]),
    ...(presence.when === 'always' ? [] : [`${presence.when}: ${nameOf(presence.option)}`]),
  ].join(' · ');
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
});
