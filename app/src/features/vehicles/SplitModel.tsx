import type { ModelView } from '@lucky-thread/contract';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { useShopCommand } from '../../store/useShopCommand';
import { ActionButton } from '../../ui/ActionButton';
import { Field } from '../../ui/Field';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** A model that turns out to be two from some year on. */
export function SplitModel({ model }: { readonly model: ModelView }) {
  const [open, setOpen] = useState(false);
  if (model.yearFrom === model.yearTo) return null;
  if (open) return <SplitForm model={model} />;
  return (
    <ActionButton
      kind="quiet"
      label="From some year on it differs…"
      testID="split-model"
      onPress={() => setOpen(true)}
    />
  );
}

function SplitForm({ model }: { readonly model: ModelView }) {
  const router = useRouter();
  const [year, setYear] = useState('');
  const [generation, setGeneration] = useState('');
  const [id] = useState(() => uuidv7());
  const [split, { busy, said }] = useShopCommand('modelSplit');
  const save = async (): Promise<void> => {
    const request = { of: model.id, fromYear: Number(year), generation: generation.trim() };
    const outcome = await split({ id, request });
    if (outcome.kind === 'stored') router.replace(`/vehicles/${outcome.data.id}`);
  };
  return (
    <View style={styles.stack}>
      <Words>
        Both get its places. Jobs and tap points go with the years of their cars; what was claimed
        over the break is only asserted after it.
      </Words>
      <View style={styles.row}>
        <View style={styles.grow}>
          <Field
            label="First year that differs"
            keyboard="number-pad"
            testID="split-year"
            value={year}
            problem={said}
            onChange={setYear}
          />
        </View>
        <View style={styles.grow}>
          <Field
            label="Its generation"
            testID="split-generation"
            value={generation}
            onChange={setGeneration}
          />
        </View>
      </View>
      <ActionButton
        label="Make it two"
        testID="split-now"
        disabled={busy || !/^\d{4}$/.test(year)}
        onPress={() => void save()}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
});
