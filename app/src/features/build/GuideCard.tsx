import type { JobView } from '@lucky-thread/contract';
import type { Guide } from '@lucky-thread/core/build';
import { compareGuides, guideWords } from '@lucky-thread/core/build';
import { LONGEST_GUIDE, guideInBox, notedGuide } from '@lucky-thread/work';
import { useKeptDraft } from '../../store/keptDraft';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Field } from '../../ui/Field';
import { Words } from '../../ui/Words';
import type { JobChange } from '../../work/useJobChange';

/** Props of {@link GuideCard}. */
export interface GuideCardProps {
  /** The job that it is about. */
  readonly job: Pick<JobView, 'id' | 'device' | 'closing'>;
  /** Called with what is noted, and with what it takes the place of. */
  readonly onNote: JobChange['noteClosing'];
}

/** Which guide lay in the device's box: the steps of its set-up say what it means for them. */
export function GuideCard({ job, onNote }: GuideCardProps) {
  const noted = guideInBox(job);
  const { draft, setDraft, forget } = useKeptDraft(`guide ${job.id}`, {
    version: noted?.version ?? '',
    dated: noted?.dated ?? '',
  });
  const { setUp } = job.device;
  if (setUp === undefined) return null;
  const { version, dated } = draft;
  const problem = problemOf(version, LONGEST_GUIDE.version);
  const problemOfDate = problemOf(dated, LONGEST_GUIDE.dated);
  const isNoted = noted?.version === version.trim() && (noted.dated ?? '') === dated.trim();
  return (
    <Card testID="guide">
      <Words kind="heading">The guide in the box</Words>
      <Words kind="small">
        {`The steps of the set-up follow guide ${setUp.guide}${setUp.dated === undefined ? '' : ` of ${setUp.dated}`}. Look at the one that came with this unit; it goes before them.`}
      </Words>
      <Field
        label="Its version"
        testID="guide-version"
        value={version}
        problem={problem}
        onChange={(text) => setDraft({ ...draft, version: text })}
      />
      <Field
        label="Its date"
        testID="guide-dated"
        value={dated}
        problem={problemOfDate}
        hint="Year first, e.g. 2026-03; empty where none is printed"
        onChange={(text) => setDraft({ ...draft, dated: text })}
      />
      {noted !== undefined && isNoted && (
        <GuideVerdict listed={{ version: setUp.guide, dated: setUp.dated }} inBox={noted} />
      )}
      <ActionButton
        label={isNoted ? 'Noted on the job' : 'Note it on the job'}
        testID="guide-note"
        disabled={
          isNoted ||
          !SAYS_SOMETHING.test(version) ||
          problem !== undefined ||
          problemOfDate !== undefined
        }
        onPress={() => {
          const { item, before } = notedGuide(job, { version, dated });
          for (const other of before) onNote({ item: other, done: false, value: null });
          onNote({ item, done: true, value: null });
          forget();
        }}
      />
    </Card>
  );
}

/** What the guide in the box means for the steps: a caution where it is another one. */
function GuideVerdict({ listed, inBox }: { readonly listed: Guide; readonly inBox: Guide }) {
  const words = guideWords(listed, inBox);
  return compareGuides(inBox, listed) === 'same' ? (
    <Words testID="guide-verdict">{`✓ ${words}`}</Words>
  ) : (
    <Caution testID="guide-verdict">{words}</Caution>
  );
}

/** A version has a letter or a number. */
const SAYS_SOMETHING = /[\p{L}\p{N}]/u;

function problemOf(text: string, longest: number): string | undefined {
  return text.trim().length > longest ? `up to ${longest} characters` : undefined;
}
