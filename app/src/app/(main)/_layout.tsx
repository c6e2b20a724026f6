import { Slot, usePathname } from 'expo-router';
import { useEffect } from 'react';
import { View } from 'react-native';
import { OutboxNotice } from '../../shell/OutboxNotice';
import { fetchRooms } from '../../rooms/room';
import { Guard } from '../../ui/Guard';
import { MainNav } from '../../ui/MainNav';
import { useWide } from '../../ui/Screen';

/** The main places with their navigation. */
export default function MainLayout() {
  const wide = useWide();
  const path = usePathname();
  // Whoever stands here enters one of them next; a fetch that fails is made again, and told, on entering.
  useEffect(() => void fetchRooms().catch(() => undefined), []);
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
