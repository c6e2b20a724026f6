import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useSessionQuery, useSignOutMutation } from '../../store/api';
import { prefsChanged } from '../../store/prefsSlice';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import { Choice } from '../../ui/Choice';
import { Screen } from '../../ui/Screen';
import { Words } from '../../ui/Words';
import { ShopWays } from './ShopWays';

/** The shop, who is signed in, and how this device shows things. */
export function ShopScreen() {
  const session = useSessionQuery();
  const prefs = useAppSelector((state) => state.prefs);
  const unsaved = useAppSelector((state) => state.outbox.length);
  const dispatch = useAppDispatch();
  const router = useRouter();
  const [signOut] = useSignOutMutation();
  const user = session.data?.user;
  return (
    <Screen testID="shop">
      <View>
        <Words kind="title">{user?.shopName ?? 'Shop'}</Words>
        <Words soft>{`Signed in as ${user?.name ?? 'nobody'}`}</Words>
      </View>
      <Words kind="heading">Light</Words>
      <Choice
        label="Theme"
        testID="theme"
        even
        options={[
          { value: 'day', label: 'Day' },
          { value: 'night', label: 'Night footwell' },
        ]}
        value={prefs.theme}
        onChange={(theme) => dispatch(prefsChanged({ theme }))}
      />
      <Words kind="heading">Units</Words>
      <Choice
        label="Units"
        testID="units"
        even
        options={[
          { value: 'metric', label: 'Metres, mm²' },
          { value: 'us', label: 'Feet, AWG' },
        ]}
        value={prefs.units}
        onChange={(units) => dispatch(prefsChanged({ units }))}
      />
      <ShopWays />
      <ActionButton
        label={unsaved > 0 ? `Sign out (${unsaved} entries stay on this device)` : 'Sign out'}
        testID="sign-out"
        onPress={() => void signOut().then(() => router.replace('/sign-in'))}
      />
    </Screen>
  );
}
