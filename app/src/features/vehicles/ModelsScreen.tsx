import type { ModelSummary } from '@lucky-thread/contract';
import { modelName, modelYears } from '@lucky-thread/contract';
import { usePathname, useRouter } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { useModelsQuery, useSearchQuery } from '../../store/api';
import { ActionButton } from '../../ui/ActionButton';
import { Field } from '../../ui/Field';
import { PickRow } from '../../ui/PickRow';
import { Screen } from '../../ui/Screen';
import { Empty, Failed, Loading } from '../../ui/States';
import { usePalette } from '../../ui/ThemeProvider';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** The shop's vehicle models with how much the log knows of each. */
export function ModelsScreen() {
  const models = useModelsQuery();
  const router = useRouter();
  const [typed, setTyped] = useState('');
  // Typing goes on while the list before is still shown.
  const q = useDeferredValue(typed.trim());
  if (models.isError)
    return <Failed what="The vehicle models" onRetry={() => void models.refetch()} />;
  if (models.data === undefined) return <Loading what="the vehicle models" />;
  return (
    <Screen
      testID="models"
      bottom={
        <ActionButton
          label="Another vehicle"
          testID="new-model"
          onPress={() => router.navigate('/vehicles/new')}
        />
      }
    >
      <Words kind="title">Vehicles</Words>
      {models.data.length === 0 && (
        <Empty
          title="No vehicle models"
          text="Enter the first one: what it is, and the lid of its fuse panel."
        />
      )}
      {models.data.length > FEW && (
        <Field
          label="Find a vehicle or a legend"
          hint="make, model, year or use; also a legend such as RR DEF"
          testID="find-model"
          value={typed}
          onChange={setTyped}
        />
      )}
      {q === '' ? <ModelList models={models.data} /> : <Found q={q} />}
    </Screen>
  );
}

/** As many are seen at one glance. */
const FEW = 4;

/** What a search came upon: vehicles, and slots by their legends. */
function Found({ q }: { readonly q: string }) {
  const router = useRouter();
  const found = useSearchQuery(q);
  if (found.isError) return <Failed what="The search" onRetry={() => void found.refetch()} />;
  const answer = found.currentData ?? found.data;
  if (answer === undefined) return <Loading what="what is like that" />;
  if (answer.models.length === 0 && answer.sources.length === 0)
    return (
      <Empty title="Nothing like that" text="No vehicle and no legend of the shop is like it." />
    );
  return (
    <>
      {answer.models.length > 0 && <ModelList models={answer.models} />}
      {answer.sources.length > 0 && (
        <View testID="found-sources" style={styles.found}>
          <Words kind="heading">Slots with that legend</Words>
          {answer.sources.map((source) => (
            <PickRow
              key={`${source.modelId} ${source.sourceId}`}
              title={`${source.name} ${source.legend}`}
              text={`${source.modelName} · ${source.placeName}`}
              chosen={false}
              testID={`found-${source.sourceId}`}
              onPress={() => router.navigate(`/vehicles/${source.modelId}`)}
            />
          ))}
        </View>
      )}
    </>
  );
}

function ModelList({ models }: { readonly models: readonly ModelSummary[] }) {
  const router = useRouter();
  const current = usePathname().split('/')[2];
  const palette = usePalette();
  return (
    <View role="list">
      {models.map((model) => (
        <View role="listitem" key={model.id}>
          <TouchableRipple
            role="link"
            testID={`model-${model.model}`}
            onPress={() => router.navigate(`/vehicles/${model.id}`)}
            aria-current={model.id === current}
            style={[
              styles.row,
              { borderBottomColor: palette.line },
              model.id === current && {
                backgroundColor: palette.raised,
                borderLeftColor: palette.ink,
              },
            ]}
          >
            <View style={styles.inside}>
              <View style={styles.grow}>
                <Words kind="heading">{modelName(model)}</Words>
                <Words kind="small" soft>
                  {modelYears(model)}
                </Words>
              </View>
              <View style={styles.count}>
                <Words kind="figure">{model.tapPointCount}</Words>
                <Words kind="small" soft>
                  {model.tapPointCount === 1 ? 'tap point' : 'tap points'}
                </Words>
              </View>
            </View>
          </TouchableRipple>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    borderBottomWidth: 1,
    borderLeftWidth: 4,
    borderLeftColor: 'transparent',
    paddingVertical: SPACE.m,
    paddingLeft: SPACE.s,
    marginLeft: -SPACE.m,
  },
  inside: { flexDirection: 'row', alignItems: 'center', gap: SPACE.m },
  grow: { flex: 1 },
  found: { gap: SPACE.xs },
  count: { alignItems: 'center', minWidth: 72 },
});
