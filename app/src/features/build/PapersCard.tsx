import type { PaperKind } from '@lucky-thread/work';
import { PAPER_KINDS } from '@lucky-thread/work';
import { Linking, StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { SPACE } from '../../ui/tokens';
import { useUnits } from '../../ui/Units';
import { Words } from '../../ui/Words';

const NAMES: Record<PaperKind, string> = {
  job: 'Job sheet',
  owner: 'For the owner',
  restore: 'To give it back',
  labels: 'Labels',
  taps: 'Tap sheet',
};

/** The papers of a job, each as a PDF on the sheet that is usual where these units are. */
export function PapersCard({ jobId }: { readonly jobId: string }) {
  const units = useUnits();
  const sheet = units === 'us' ? 'LETTER' : 'A4';
  return (
    <Card testID="papers">
      <Words kind="heading">Papers</Words>
      <View style={styles.row}>
        {PAPER_KINDS.map((kind) => (
          <ActionButton
            key={kind}
            label={NAMES[kind]}
            testID={`paper-${kind}`}
            onPress={() =>
              void Linking.openURL(
                `/api/jobs/${jobId}/papers/${kind}.pdf?sheet=${sheet}&units=${units}`,
              )
            }
          />
        ))}
      </View>
      <Words
        kind="small"
        soft
      >{`PDF, ${sheet === 'A4' ? 'A4' : 'Letter'}; the server makes them.`}</Words>
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
