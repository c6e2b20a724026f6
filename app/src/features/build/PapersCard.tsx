import { PAPER_INK, diagramSvg } from '@lucky-thread/core/build/drawing';
import type { PaperKind, Sheet } from '@lucky-thread/work';
import { PAPER_KINDS, paperOf } from '@lucky-thread/work';
import { memo, useEffect, useState } from 'react';
import { Linking, StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { saveText } from '../../ui/saveText';
import { SPACE } from '../../ui/tokens';
import { useUnits } from '../../ui/Units';
import { Words } from '../../ui/Words';
import type { BuildQuestion } from '../../workers/builder';
import { askDiagram } from '../../workers/builder';
import { fetchPaperMaker, makePaper } from '../../workers/papers';

const NAMES: Record<PaperKind, string> = {
  job: 'Job sheet',
  owner: 'For the owner',
  restore: 'To give it back',
  labels: 'Labels',
  taps: 'Tap sheet',
};

/** The papers of a job, each as a PDF on the sheet that is usual where these units are; made here, so that no signal is needed. */
export const PapersCard = memo(function PapersCard({
  question,
}: {
  readonly question: BuildQuestion;
}) {
  const units = useUnits();
  const sheet: Sheet = units === 'us' ? 'LETTER' : 'A4';
  const [making, setMaking] = useState<PaperKind>();
  const [atHand, setAtHand] = useState(false);
  const [problem, setProblem] = useState<{ readonly kind: PaperKind; readonly why: string }>();
  useEffect(() => {
    // What it needs is fetched while there is a signal; without one it is tried again when a paper is asked for.
    fetchPaperMaker().then(
      () => setAtHand(true),
      () => setAtHand(false),
    );
  }, []);
  const { context } = question;
  const make = async (kind: PaperKind): Promise<void> => {
    setMaking(kind);
    setProblem(undefined);
    try {
      const drawn = kind === 'job' ? await askDiagram({ ...question, units }) : undefined;
      const paper = paperOf(kind, {
        ...{ context, readings: question.readings, units },
        diagram:
          drawn === undefined ? undefined : diagramSvg(drawn, { ...PAPER_INK, family: 'Strong' }),
        record: `${window.location.origin}/jobs/${context.job.id}`,
      });
      const bytes = await makePaper(paper, sheet);
      saveText(`${kind}.pdf`, bytes as BlobPart, 'application/pdf');
    } catch (error) {
      setProblem({ kind, why: error instanceof Error ? error.message : String(error) });
    }
    setMaking(undefined);
  };
  return (
    <Card testID="papers">
      <Words kind="heading">Papers</Words>
      <View style={styles.row}>
        {PAPER_KINDS.map((kind) => (
          <ActionButton
            key={kind}
            label={making === kind ? `${NAMES[kind]}…` : NAMES[kind]}
            testID={`paper-${kind}`}
            disabled={making !== undefined}
            onPress={() => void make(kind)}
          />
        ))}
      </View>
      <Words kind="small" soft testID="papers-how">
        {`PDF, ${sheet === 'A4' ? 'A4' : 'Letter'}; made on this device, ${atHand ? 'with or without a signal' : 'the first time with a signal'}.`}
      </Words>
      {problem !== undefined && (
        <>
          <Caution testID="paper-problem">{`Not made: ${problem.why}.`}</Caution>
          <ActionButton
            kind="quiet"
            label="Have the server make it"
            testID="paper-server"
            onPress={() =>
              void Linking.openURL(
                `/api/jobs/${context.job.id}/papers/${problem.kind}.pdf?sheet=${sheet}&units=${units}`,
              )
            }
          />
        </>
      )}
    </Card>
  );
});

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
