import type { FeedInput } from '@lucky-thread/contract';
import type { LeadFamily } from '@lucky-thread/core/choose';
import { familyWithArticle, readLead, unusedLeads } from '@lucky-thread/core/choose';
import { LeadColour } from '../../panel/LeadColour';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Words } from '../../ui/Words';

/** Props of {@link LeadCard}. */
export interface LeadCardProps {
  /** What kind of lead they are. */
  readonly family: LeadFamily;
  /** The feeds in the device's order. */
  readonly feeds: readonly FeedInput[];
}

/** The device's leads in their own family: what each passes for or means elsewhere, and how those left over end. */
export function LeadCard({ family, feeds }: LeadCardProps) {
  const used = feeds.flatMap((feed) => feed.leadColour ?? []);
  const left = unusedLeads(family, used);
  return (
    <Card testID="leads">
      <Words kind="heading">{`Leads of ${familyWithArticle(family)}`}</Words>
      {used.map((words) => {
        const { lead, clashes, near } = readLead(family, words);
        const others = [
          ...near.map((one) => `passes for ${one.words} (${one.role})`),
          ...clashes.map((one) => `on ${familyWithArticle(one.family)} it is ${one.role}`),
        ];
        return (
          <LeadColour key={words} family={family} words={words}>
            <Words kind="small">
              {`${words}: ${lead?.role ?? 'not usual in this family'}${others.length === 0 ? '' : `; ${others.join('; ')}`}.`}
            </Words>
          </LeadColour>
        );
      })}
      {left.length > 0 && (
        <Caution>
          {`Left over, each capped by itself: ${left.map((one) => one.words).join(', ')}. A bare lamp lead takes the car’s lamp fuse with it.`}
        </Caution>
      )}
    </Card>
  );
}
