import type { FieldProblem, ImportResult } from '@lucky-thread/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useImportTapsMutation } from '../../store/api';
import { problemOf, problemText } from '../../store/problemText';
import { ActionButton } from '../../ui/ActionButton';
import { FilePicker } from '../../ui/FilePicker';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** A model's tap points out to a spreadsheet and back, and the whole of it into a file. */
export function CsvExchange({ modelId }: { readonly modelId: string }) {
  const [importTaps, { isLoading }] = useImportTapsMutation();
  const [said, setSaid] = useState<string>();
  const [problems, setProblems] = useState<readonly FieldProblem[]>([]);
  const read = async (file: Blob): Promise<void> => {
    const result = await importTaps({ modelId, file });
    const problem = problemOf(result.error);
    setProblems(problem?.errors ?? []);
    setSaid(
      result.data === undefined
        ? `Nothing was imported. ${problem?.errors === undefined ? problemText(result.error) : ''}`
        : importedText(result.data),
    );
  };
  return (
    <View style={styles.stack} testID="csv">
      <View style={styles.row}>
        <ActionButton
          label="Tap points as CSV"
          testID="export"
          onPress={() => window.location.assign(`/api/models/${modelId}/taps.csv`)}
        />
        <FilePicker
          label="Read tap points in"
          accept=".csv,text/csv"
          testID="import-file"
          disabled={isLoading}
          onFile={read}
        />
        <ActionButton
          label="Whole vehicle as a file"
          testID="export-pack"
          onPress={() => window.location.assign(`/api/models/${modelId}/pack`)}
        />
      </View>
      {said !== undefined && (
        <View role="status">
          <Words testID="import-said">{said}</Words>
          {problems.map((one) => (
            <Words
              kind="small"
              key={`${one.path}${one.message}`}
            >{`✕ ${one.path}: ${one.message}`}</Words>
          ))}
        </View>
      )}
    </View>
  );
}

function importedText({ added, changed, unchanged }: ImportResult): string {
  return `${added} added, ${changed} changed, ${unchanged} as before.`;
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
