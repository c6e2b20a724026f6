import type { ModelView } from '@lucky-thread/contract';
import type { Source } from '@lucky-thread/core/vehicle';
import { isConductor } from '@lucky-thread/core/vehicle';
import { placeIdOf } from '@lucky-thread/work';
import { StyleSheet, View } from 'react-native';
import { GroundCheck } from '../../../panel/GroundCheck';
import { sourceTitle, warningOf } from '../../../panel/sourceTitle';
import { TapPointCard } from '../../../panel/TapPointCard';
import { WireSwatch } from '../../../panel/WireSwatch';
import { useTapsInfiniteQuery } from '../../../store/api';
import { Card } from '../../../ui/Card';
import { Caution } from '../../../ui/Caution';
import { Loading } from '../../../ui/States';
import { SPACE } from '../../../ui/tokens';
import { Words } from '../../../ui/Words';
import { PinnedPhoto } from '../photos/PinnedPhoto';
import { Notes } from './Notes';
import { sourceFacts } from './sourceFacts';

/** Everything that is known of one source: what it looks like, what the log says, where it is seen. */
export function SourceSheet(props: { readonly model: ModelView; readonly source: Source }) {
  const { model, source } = props;
  const taps = useTapsInfiniteQuery(model.id);
  const here = taps.data?.pages
    .flatMap((page) => page.taps)
    .filter((tap) => tap.sourceId === source.id);
  const warning = warningOf(source);
  const photos = model.photos.filter((photo) =>
    photo.pins.some((pin) => pin.sourceId === source.id),
  );
  return (
    <View style={styles.stack} testID="source-sheet">
      <Card>
        <View style={styles.head}>
          {isConductor(source) && <WireSwatch colour={source.seenColour ?? source.colour} />}
          <Words kind="heading">{sourceTitle(source)}</Words>
        </View>
        {sourceFacts(source).map((fact) => (
          <Words key={fact}>{fact}</Words>
        ))}
        {warning !== undefined && <Caution>{warning}</Caution>}
        {source.kind === 'ground' && <GroundCheck />}
      </Card>
      {photos.map((photo) => (
        <PinnedPhoto key={photo.id} photo={photo} onlyId={source.id} />
      ))}
      {here === undefined ? (
        <Loading what="its tap points" />
      ) : here.length === 0 ? (
        <Words soft>The log says nothing of it yet.</Words>
      ) : (
        here.map((tap) => <TapPointCard key={tap.id} tap={tap} model={model} />)
      )}
      <Notes model={model} placeId={placeIdOf(source.id)} sourceId={source.id} />
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.m },
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
});
