import type { SignInRequest } from '@lucky-thread/contract';
import type { Stitch as StitchLine } from '@lucky-thread/core/identify';
import type { Href } from 'expo-router';
import { Redirect, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useSessionQuery, useSignInMutation } from '../store/api';
import { flushOutbox } from '../store/sending';
import { problemOf, problemText } from '../store/problemText';
import { sessionRenewed, signedOut } from '../store/sessionSlice';
import { useAppDispatch, useAppSelector } from '../store/store';
import { ActionButton } from '../ui/ActionButton';
import { Field } from '../ui/Field';
import { Screen } from '../ui/Screen';
import { Stitch } from '../ui/Stitch';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';

/** An accessory's stitch with its loose end: the product's mark. */
const MARK: StitchLine = [
  { place: 'asleep', mark: 'low' },
  { place: 'off', mark: 'low' },
  { place: 'acc', mark: 'high' },
  { place: 'run', mark: 'high' },
  { place: 'crank', mark: 'low' },
  { place: 'engine', mark: 'loose' },
];

/** Sign in; afterwards the user is back where the session ended. */
export function SignInScreen() {
  const session = useSessionQuery();
  const dispatch = useAppDispatch();
  const expired = useAppSelector((state) => state.session.expired);
  const { next } = useLocalSearchParams<{ next?: string }>();
  const [login, setLogin] = useState('');
  const [password, setPassword] = useState('');
  const [problem, setProblem] = useState<string>();
  const [signIn, { isLoading }] = useSignInMutation();
  const enter = async ({ login: as, password: by }: SignInRequest): Promise<void> => {
    const result = await patiently(() => signIn({ login: as, password: by }));
    setProblem(result.error === undefined ? undefined : problemText(result.error));
    if (result.data === undefined) return;
    // Where somebody else was in this tab is none of the next one's business.
    const before = session.data?.user?.id;
    if (before !== undefined && before !== result.data.user?.id) dispatch(signedOut());
    dispatch(sessionRenewed());
    void dispatch(flushOutbox());
  };
  if (!expired && session.data !== undefined && session.data.user !== null)
    return <Redirect href={(isOwnPath(next) ? next : '/') as Href} />;
  return (
    <Screen testID="sign-in">
      <Mark />
      {(session.data?.demoAccounts ?? []).map((account) => (
        <ActionButton
          key={account.login}
          kind={account.login === 'installer' ? 'next' : 'plain'}
          label={`Demo: enter as ${account.name.toLowerCase()}`}
          testID={`demo-${account.login}`}
          disabled={isLoading}
          onPress={() => void enter(account)}
        />
      ))}
      <Field label="Login" value={login} onChange={setLogin} testID="login" />
      <Field
        label="Password"
        secret
        value={password}
        testID="password"
        problem={problem}
        onChange={setPassword}
        onSubmit={() => void enter({ login, password })}
      />
      <ActionButton
        label="Sign in"
        testID="sign-in-button"
        disabled={isLoading || login === '' || password === ''}
        onPress={() => void enter({ login, password })}
      />
    </Screen>
  );
}

function Mark() {
  return (
    <View style={styles.mark}>
      <Stitch stitch={MARK} step={44} />
      <Words kind="title" style={styles.name}>
        Lucky Thread
      </Words>
      <Words soft>Pull the right thread once, prove it, and nobody has to pull it again.</Words>
    </View>
  );
}

/** The server looks at one password at a time: somebody else's turn passes in a moment. */
const BUSY_TRIES = 5;
const BUSY_MS = 700;

/** Asks again by itself while the server is busy with somebody else's sign-in. */
async function patiently<T extends { readonly error?: unknown }>(
  ask: () => Promise<T>,
): Promise<T> {
  let result = await ask();
  for (let tried = 1; tried < BUSY_TRIES; tried += 1) {
    if (problemOf(result.error)?.type !== 'sign-in-busy') return result;
    await new Promise((resolve) => setTimeout(resolve, BUSY_MS));
    result = await ask();
  }
  return result;
}

/** Only a path of this application is gone back to. */
function isOwnPath(next: string | undefined): next is string {
  return next !== undefined && /^\/(?!\/)/.test(next);
}

const styles = StyleSheet.create({
  mark: { gap: SPACE.s, paddingTop: SPACE.xl, paddingBottom: SPACE.m },
  name: { fontSize: 46, lineHeight: 48 },
});
