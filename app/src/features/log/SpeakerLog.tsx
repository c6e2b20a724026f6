import type { JobContext, SpeakerWire } from '@lucky-thread/work';
import { handOverLeft, speakerWiresOf, titleOf } from '@lucky-thread/work';
import type { Reading } from '@lucky-thread/core/identify';
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { useShopCommand } from '../../store/useShopCommand';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Words } from '../../ui/Words';

/** A speaker's lead with its wire, still to be logged. */
interface OpenLead extends SpeakerWire {
  /** The feed's id. */
  readonly feedId: string;
  /** What the device calls it. */
  readonly name: string;
}

/** The speakers' leads of a job that a pop has shown and that are not in the log yet. */
export function openSpeakers(
  { job, model }: Pick<JobContext, 'job' | 'model'>,
  readings: readonly Reading[],
): readonly OpenLead[] {
  const wires = speakerWiresOf({ job, model }, readings);
  return job.device.feeds.flatMap(({ id, name }) => {
    const wire = wires.get(id);
    return wire === undefined || job.loggedFeedIds.includes(id)
      ? []
      : [{ ...wire, feedId: id, name }];
  });
}

/** Props of {@link SpeakerLog}. */
export interface SpeakerLogProps {
  /** The job with its vehicle, device, shop and log. */
  readonly context: JobContext;
  /** Those still to be logged, one or more. */
  readonly leads: readonly OpenLead[];
  /** Something that belongs to the evidence is not saved yet. */
  readonly waiting: boolean;
}

/** All speakers' leads of a job, written into the log in one go. */
export function SpeakerLog({ context, leads, waiting }: SpeakerLogProps) {
  const [logTap, { busy, said }] = useShopCommand('tap');
  // One id for all tries of a lead, so that a try whose answer was lost is not logged twice.
  const [ids] = useState(() => new Map<string, string>());
  const [untried] = handOverLeft(context.job);
  const seen = leads.filter(({ proved }) => proved);
  const unseen = leads.filter(({ proved }) => !proved);
  const write = async (): Promise<void> => {
    for (const { feedId } of seen) {
      const id = ids.get(feedId) ?? uuidv7();
      ids.set(feedId, id);
      const outcome = await logTap({ jobId: context.job.id, id, request: { feedId, note: '' } });
      if (outcome.kind === 'refused') return;
    }
  };
  return (
    <Card testID="log-speakers">
      <Words kind="heading">Speakers</Words>
      {leads.map(({ feedId, name, source }) => (
        <Words kind="small" key={feedId}>{`${name}: ${titleOf(source)}`}</Words>
      ))}
      {unseen.length > 0 && (
        <Caution testID="speakers-unseen">
          {`Nobody saw the cone of ${unseen.map(({ name }) => name).join(', ')}: plus and minus are a guess, and no guess is logged. Pop them again in Find.`}
        </Caution>
      )}
      {untried !== undefined && (
        <Caution testID="unproven-speakers">
          {`Not tried yet before the hand-over: ${untried.test.what} Go back to Prove.`}
        </Caution>
      )}
      {said !== undefined && <Caution testID="log-problem-speakers">{said}</Caution>}
      {seen.length > 0 && (
        <ActionButton
          label={`Write ${seen.length} speaker leads into the log`}
          testID="write-speakers"
          disabled={untried !== undefined || busy || waiting}
          onPress={() => void write()}
        />
      )}
    </Card>
  );
}
