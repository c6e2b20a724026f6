import { Redirect, usePathname } from 'expo-router';
import type { ReactNode } from 'react';
import { useState } from 'react';
import { useSessionQuery } from '../store/api';
import { useAppSelector } from '../store/store';
import { Failed, Loading } from '../ui/States';

/** Lets only signed-in people see what is below; others sign in first and come back here. */
export function SessionGate({ children }: { readonly children: ReactNode }) {
  const session = useSessionQuery();
  const expired = useAppSelector((state) => state.session.expired);
  const path = usePathname();
  if (path === '/sign-in') return children;
  if (session.data === undefined)
    return session.isError ? (
      <Failed what="Lucky Thread" onRetry={() => void session.refetch()} />
    ) : (
      <Loading what="Lucky Thread" />
    );
  if (expired || session.data.user === null) return <ToSignIn from={path} />;
  return children;
}

/** Sends to the sign-in screen, holding on to where the user was: the path changes once the screens below are gone. */
function ToSignIn(props: { readonly from: string }) {
  const [next] = useState(props.from);
  return <Redirect href={{ pathname: '/sign-in', params: { next } }} />;
}
