import { Slot, usePathname } from 'expo-router';
import { View } from 'react-native';
import { OutboxNotice } from '../../shell/OutboxNotice';
import { Guard } from '../../ui/Guard';
import { MainNav } from '../../ui/MainNav';
import { useWide } from '../../ui/Screen';

/** The main places with their navigation. */
export default function MainLayout() {
  const wide = useWide();
  const path = usePathname();
  return (
    <View style={{ flex: 1, minHeight: 0, flexDirection: wide ? 'row-reverse' : 'column' }}>
      <View style={{ flex: 1, minHeight: 0 }}>
        <OutboxNotice />
        <Guard key={path} what="This screen">
          <Slot />
        </Guard>
      </View>
      <MainNav wide={wide} />
    </View>
  );
}
