import type { ModelView, TapPointView } from '@lucky-thread/contract';
import { modelName, modelYears } from '@lucky-thread/contract';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { useTapsInfiniteQuery } from '../../store/api';
import { useModel } from '../../store/shown';
import { ActionButton } from '../../ui/ActionButton';
import { Screen, useWide } from '../../ui/Screen';
import { Failed, Loading } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { TwoColumns } from '../../ui/TwoColumns';
import { Words } from '../../ui/Words';
import { CsvExchange } from './CsvExchange';
import { Places } from './Places';
import { SplitModel } from './SplitModel';
import { TapPoints } from './TapPoints';

/** A vehicle model: where its panels are and what the log knows. */
export function ModelScreen({ modelId }: { readonly modelId: string }) {
  const model = useModel(modelId);
  const router = useRouter();
  const wide = useWide();
  const taps = useTapsInfiniteQuery(modelId, { refetchOnMountOrArgChange: true });
  if (model.isError || taps.isError)
    return (
      <Failed
        what="The vehicle model"
        onRetry={() => void Promise.all([model.refetch(), taps.refetch()])}
      />
    );
  if (model.data === undefined || taps.data === undefined)
    return <Loading what="the vehicle model" />;
  const view = model.data;
  const logged = taps.data.pages.flatMap((page) => page.taps);
  const tapPoints = (
    <Logged
      model={view}
      taps={logged}
      {...(taps.hasNextPage ? { onMore: () => void taps.fetchNextPage() } : {})}
    />
  );
  return (
    <Screen testID="model" roomy>
      <View>
        <Words kind="title">{modelName(view)}</Words>
        <Words soft>
          {`${modelYears(view)}, ${view.keyType}, ${view.steering.join(' or ')}-hand drive`}
        </Words>
      </View>
      <TwoColumns
        // The list of vehicles stands beside it.
        from={1560}
        // What was tapped before is looked for first; on a new vehicle its places are.
        first={wide || logged.length === 0 ? <Places model={view} /> : tapPoints}
        second={wide || logged.length === 0 ? tapPoints : <Places model={view} />}
      />
      {/* Stays where it is when the first tap point changes what stands above: it says what was read in. */}
      <CsvExchange modelId={modelId} />
      <ActionButton
        label="Another like this…"
        testID="like-this"
        onPress={() => router.navigate(`/vehicles/new?like=${modelId}`)}
      />
      <SplitModel model={view} />
    </Screen>
  );
}

/** What was logged of the model, page by page. */
function Logged(props: {
  readonly model: ModelView;
  readonly taps: readonly TapPointView[];
  /** Fetches the next page; left out where there is none. */
  readonly onMore?: () => void;
}) {
  const { model, taps, onMore } = props;
  return (
    <View style={styles.stack}>
      <Words kind="heading">Tap points</Words>
      <TapPoints model={model} taps={taps} />
      {onMore !== undefined && (
        <ActionButton label="Show more" testID="more-taps" onPress={onMore} />
      )}
    </View>
  );
}

const styles = StyleSheet.create({ stack: { gap: SPACE.l } });
