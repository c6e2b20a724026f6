import { useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { prefsChanged } from '../../store/prefsSlice';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import { Choice } from '../../ui/Choice';
import { Screen } from '../../ui/Screen';
import { Words } from '../../ui/Words';
import type { ToolId } from './tools';
import { TOOLS } from './tools';

/** Props of {@link ToolPage}. */
export interface ToolPageProps {
  readonly tool: ToolId;
  readonly children: ReactNode;
}

/** The frame of a tool: its name, the units, and the way back. */
export function ToolPage({ tool, children }: ToolPageProps) {
  const router = useRouter();
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.prefs.units);
  const { name, says } = TOOLS.find((one) => one.id === tool) ?? TOOLS[0];
  return (
    <Screen testID={`tool-page-${tool}`}>
      <View>
        <Words kind="title">{name}</Words>
        <Words soft>{says}</Words>
      </View>
      <Choice
        label="Units"
        testID="units"
        even
        options={[
          { value: 'metric', label: 'Metres, mm²' },
          { value: 'us', label: 'Feet, AWG' },
        ]}
        value={units}
        onChange={(to) => dispatch(prefsChanged({ units: to }))}
      />
      {children}
      <ActionButton
        kind="quiet"
        label="All tools"
        testID="all-tools"
        onPress={() => router.navigate('/tools')}
      />
    </Screen>
  );
}
