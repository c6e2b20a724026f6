import { modelName, modelYears } from '@lucky-thread/contract';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { useModelsQuery } from '../../store/api';
import { ActionButton } from '../../ui/ActionButton';
import { Screen } from '../../ui/Screen';
import { Empty, Failed, Loading } from '../../ui/States';
import { usePalette } from '../../ui/ThemeProvider';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** The shop's vehicle models with how much the log knows of each. */
export function ModelsScreen() {
  const models = useModelsQuery();
  const router = useRouter();
  const palette = usePalette();
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
      <View role="list">
        {models.data.map((model) => (
          <View role="listitem" key={model.id}>
            <TouchableRipple
              role="link"
              testID={`model-${model.model}`}
              onPress={() => router.navigate(`/vehicles/${model.id}`)}
              style={[styles.row, { borderColor: palette.line }]}
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
    </Screen>
  );
}

const styles = StyleSheet.create({
  row: { borderBottomWidth: 1, paddingVertical: SPACE.m },
  inside: { flexDirection: 'row', alignItems: 'center', gap: SPACE.m },
  grow: { flex: 1 },
  count: { alignItems: 'center', minWidth: 72 },
});
