import {
  LEADS,
  LEAD_FAMILIES,
  LEAD_FAMILY_NAMES,
  familyWithArticle,
  readLead,
} from '@lucky-thread/core/choose';
import type { LeadFamily } from '@lucky-thread/core/choose';
import { View } from 'react-native';
import { LeadColour } from '../../panel/LeadColour';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Field } from '../../ui/Field';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { ToolChoice } from './ToolFields';
import { ToolPage } from './ToolPage';
import { useToolInputs } from '../../sizing/useToolInputs';

const DEFAULTS = { family: 'radio', colour: 'blue/white' };

/** What a lead's colour means in its family, what it passes for, and what it means elsewhere. */
export function LeadsTool() {
  const [inputs, set] = useToolInputs(DEFAULTS);
  const family = LEAD_FAMILIES.find((one): one is LeadFamily => one === inputs.family) ?? 'radio';
  return (
    <ToolPage tool="leads" answer={<LeadAnswer family={family} colour={inputs.colour} />}>
      <ToolChoice
        label="Family"
        testID="family"
        even={false}
        options={LEAD_FAMILIES.map((one) => [one, LEAD_FAMILY_NAMES[one]] as const)}
        value={family}
        onChange={(next) => set({ family: next })}
      />
      <Field
        label="Colour, base then stripe"
        value={inputs.colour}
        testID="in-colour"
        onChange={(colour) => set({ colour })}
      />
      <Words kind="heading">{`Leads of ${familyWithArticle(family)}`}</Words>
      <View style={{ gap: SPACE.xs }}>
        {LEADS[family].map((one) => (
          <LeadColour key={one.words} family={family} words={one.words}>
            <ActionButton
              label={`${one.words}: ${one.role} ${one.sign}`}
              onPress={() => set({ colour: one.words })}
            />
          </LeadColour>
        ))}
      </View>
      <Words kind="small" soft>
        Colours are common practice. They mean something only inside one family; the sheet in the
        device’s box comes first.
      </Words>
    </ToolPage>
  );
}

/** What a lead of that colour is for in its family, and what it passes for elsewhere. */
function LeadAnswer({ family, colour }: { readonly family: LeadFamily; readonly colour: string }) {
  const { lead, clashes, near } = readLead(family, colour);
  return (
    <Card testID="answer">
      {lead === undefined ? (
        <Words>
          {`No ${colour} lead is usual in this family. Go by the sheet in the device’s box, or read the wire.`}
        </Words>
      ) : (
        <>
          <Words kind="title">{`${lead.sign} ${lead.role}`}</Words>
          <Words>{`${lead.direction === 'out' ? 'Comes out of the device' : 'Goes into the device'}, live ${lead.when}.`}</Words>
          <Words kind="small">{`Not used: ${lead.unused}`}</Words>
        </>
      )}
      {near.length > 0 && (
        <Caution>{`Passes for: ${near.map((one) => `${one.words} (${one.role})`).join('; ')}.`}</Caution>
      )}
      {clashes.map((one) => (
        <Caution
          key={one.family}
        >{`On ${familyWithArticle(one.family)} the same colour is ${one.role}.`}</Caution>
      ))}
    </Card>
  );
}
