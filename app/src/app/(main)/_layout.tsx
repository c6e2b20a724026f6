import { Slot } from 'expo-router';
import { View } from 'react-native';
import { OutboxNotice } from '../../features/job/OutboxNotice';
import { MainNav } from '../../ui/MainNav';
import { useWide } from '../../ui/Screen';

/** The main places with their navigation. */
export default function MainLayout() {
  const wide = useWide();
  return (
    <View style={{ flex: 1, minHeight: 0, flexDirection: wide ? 'row-reverse' : 'column' }}>
      <View style={{ flex: 1, minHeight: 0 }}>
        <OutboxNotice />
        <Slot />
      </View>
      <MainNav wide={wide} />
    </View>
  );
}
