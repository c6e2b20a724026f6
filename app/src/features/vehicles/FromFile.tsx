import type { FieldProblem } from '@lucky-thread/contract';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { useImportPackMutation } from '../../store/api';
import { problemOf, problemText } from '../../store/problemText';
import { FilePicker } from '../../ui/FilePicker';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** A vehicle that another shop, or this one, has written into a file. */
export function FromFile() {
  const router = useRouter();
  const [take, { isLoading }] = useImportPackMutation();
  const [said, setSaid] = useState<string>();
  const [problems, setProblems] = useState<readonly FieldProblem[]>([]);
  const read = async (file: File): Promise<void> => {
    const { data, error } = await take({ modelId: uuidv7(), file });
    if (data !== undefined) {
      router.replace(`/vehicles/${data.id}`);
      return;
    }
    const errors = problemOf(error)?.errors ?? [];
    setProblems(errors);
    setSaid(`Nothing was taken in. ${errors.length === 0 ? problemText(error) : ''}`);
  };
  return (
    <View style={styles.stack} testID="from-file">
      <FilePicker
        label={isLoading ? 'Reading the file…' : 'It comes as a file…'}
        accept=".zip,application/zip"
        testID="pack-file"
        disabled={isLoading}
        onFile={read}
      />
      {said !== undefined && (
        <View role="status" testID="pack-said">
          <Words>{said}</Words>
          {problems.map(({ path, message }) => (
            <Words kind="small" key={`${path} ${message}`}>{`✕ ${path}: ${message}`}</Words>
          ))}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({ stack: { gap: SPACE.s } });
