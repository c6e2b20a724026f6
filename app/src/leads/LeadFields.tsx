import { FEED_ROLES } from '@lucky-thread/contract';
import type { FeedInput } from '@lucky-thread/contract';
import { isSpeakerLead } from '@lucky-thread/core/identify';
import { SPEAKER_PLACES } from '@lucky-thread/core/vehicle';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { Amperes } from './Amperes';
import { LeadExtras } from './LeadExtras';
import { LeadWays } from './LeadWays';
import { withRole } from './newLead';
import { roleName } from './roleName';

/** Props of {@link LeadFields}. */
export interface LeadFieldsProps {
  /** The lead as it stands. */
  readonly lead: FeedInput;
  /** Its place among the device's, from 0. */
  readonly index: number;
  /** What is wrong with one of its fields. */
  readonly problemOf: (field: keyof FeedInput) => string | undefined;
  /** Called with the changed lead; whatever else it carries is kept. */
  readonly onLead: (lead: FeedInput) => void;
}

/** Everything that is said of one lead of a device. */
export function LeadFields({ lead, index, problemOf, onLead }: LeadFieldsProps) {
  return (
    <>
      <Field
        label="Feed"
        testID={`lead-name-${index}`}
        value={lead.name}
        problem={problemOf('name')}
        onChange={(name) => onLead({ ...lead, name })}
      />
      <Choice
        label="Role"
        options={FEED_ROLES.map((role) => ({ value: role, label: roleName(role) }))}
        value={lead.role}
        onChange={(role) => onLead(withRole(lead, role))}
      />
      {isSpeakerLead(lead.role) && (
        <Choice
          label="Which speaker"
          testID={`speaker-${index}`}
          options={SPEAKER_PLACES.map((value) => ({ value, label: value }))}
          value={lead.speaker}
          onChange={(speaker) => onLead({ ...lead, speaker })}
        />
      )}
      <Amperes
        startA={lead.currentA}
        problem={problemOf('currentA')}
        onAmps={(currentA) => onLead({ ...lead, currentA })}
        testID={`own-amps-${index}`}
      />
      <LeadWays
        feed={lead}
        index={index}
        leftOffProblem={problemOf('leftOff')}
        setAtProblem={problemOf('setAt')}
        outputProblem={problemOf('outputV')}
        onFeed={onLead}
      />
      <LeadExtras feed={lead} index={index} problemOf={problemOf} onFeed={onLead} />
    </>
  );
}
