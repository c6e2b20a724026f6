import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { Screen } from '../../ui/Screen';
import { usePalette } from '../../ui/ThemeProvider';
import { RADIUS, SPACE, TARGET } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { TOOLS } from './tools';

/** Every computation of the job on its own. */
export function ToolsScreen() {
  const router = useRouter();
  const palette = usePalette();
  return (
    <Screen testID="tools">
      <View>
        <Words kind="title">Tools</Words>
        <Words soft>Each by itself; the address keeps what was typed, so it can be shared.</Words>
      </View>
      <View style={styles.list}>
        {TOOLS.map((tool) => (
          <TouchableRipple
            key={tool.id}
            role="link"
            testID={`tool-${tool.id}`}
            onPress={() => router.navigate(`/tools/${tool.id}`)}
            style={[styles.row, { backgroundColor: palette.raised }]}
          >
            <View>
              <Words kind="action">{tool.name}</Words>
              <Words kind="small" soft>
                {tool.says}
              </Words>
            </View>
          </TouchableRipple>
        ))}
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { minHeight: TARGET, borderRadius: RADIUS, padding: SPACE.m },
});
