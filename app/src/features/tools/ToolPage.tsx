import { useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { UnitChoice } from '../../sizing/UnitChoice';
import { ActionButton } from '../../ui/ActionButton';
import { Screen } from '../../ui/Screen';
import { SPACE } from '../../ui/tokens';
import { WithDock } from '../../ui/WithDock';
import { Words } from '../../ui/Words';
import type { ToolId } from './tools';
import { TOOLS } from './tools';

/** Props of {@link ToolPage}. */
export interface ToolPageProps {
  /** Which tool. */
  readonly tool: ToolId;
  /** What is given. */
  readonly children: ReactNode;
  /** What comes out of it; stays in sight while the inputs are changed. Left out where it stands among them. */
  readonly answer?: ReactNode;
}

/** The frame of a tool: its name, what is given, what comes out, the way back; the units where a length or gauge occurs. */
export function ToolPage({ tool, children, answer }: ToolPageProps) {
  const router = useRouter();
  const { name, says, measures } = TOOLS.find((one) => one.id === tool) ?? TOOLS[0];
  const inputs = (
    <>
      <View>
        <Words kind="title">{name}</Words>
        <Words soft>{says}</Words>
      </View>
      {measures && <UnitChoice />}
      {children}
      <ActionButton
        kind="quiet"
        label="All tools"
        testID="all-tools"
        onPress={() => router.navigate('/tools')}
      />
    </>
  );
  if (answer === undefined) return <Screen testID={`tool-page-${tool}`}>{inputs}</Screen>;
  return (
    <WithDock testID={`tool-page-${tool}`} low dock={answer}>
      <View style={styles.inputs}>{inputs}</View>
    </WithDock>
  );
}

const styles = StyleSheet.create({
  inputs: { gap: SPACE.l, alignSelf: 'center', width: '100%', maxWidth: 760 },
});
