import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { api, useSessionQuery, useSignOutMutation } from '../../store/api';
import { prefsChanged } from '../../store/prefsSlice';
import { problemText } from '../../store/problemText';
import { signedOut } from '../../store/sessionSlice';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { UnitChoice } from '../../sizing/UnitChoice';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { Choice } from '../../ui/Choice';
import { Screen } from '../../ui/Screen';
import { Words } from '../../ui/Words';
import { Devices } from './Devices';
import { Glossary } from './Glossary';
import { ShopWays } from './ShopWays';

/** The shop, who is signed in, and how this device shows things. */
export function ShopScreen() {
  const session = useSessionQuery();
  const prefs = useAppSelector((state) => state.prefs);
  const unsaved = useAppSelector((state) => state.outbox.length);
  const dispatch = useAppDispatch();
  const router = useRouter();
  const [signOut] = useSignOutMutation();
  const [problem, setProblem] = useState<string>();
  const user = session.data?.user;
  const leave = async (): Promise<void> => {
    const result = await signOut();
    // Without an answer the session still stands: saying “signed out” would not be true.
    if (result.error !== undefined) return setProblem(problemText(result.error));
    router.replace('/sign-in');
    dispatch(signedOut());
    dispatch(api.util.resetApiState());
  };
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
      <UnitChoice />
      <ShopWays />
      <Devices />
      <Glossary />
      {problem !== undefined && <Caution testID="sign-out-problem">{problem}</Caution>}
      <ActionButton
        label={unsaved > 0 ? `Sign out (${unsaved} entries stay on this device)` : 'Sign out'}
        testID="sign-out"
        onPress={() => void leave()}
      />
    </Screen>
  );
}
