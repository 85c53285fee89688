import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { useMatch, useNavigate } from 'react-router';
import { ChangePassword, Invitation, SignIn, useOnePerson } from '../features/session';
import { sessionQuery } from '../shared/api';
import { MeContext, NowProvider, ProblemNote } from '../shared/ui';
import { fetchPlace } from './places';
import { useFocusBack } from './useFocusBack';

/** Who has still to sign in waits for nothing of it. */
const Frame = lazy(() => {
  fetchPlace(window.location.pathname);
  return import('./Frame').then((part) => ({ default: part.Frame }));
});

/** Lets in the person who is signed in, or has an invitation. */
export function App() {
  const navigate = useNavigate();
  const session = useQuery(sessionQuery);
  useOnePerson(session.data);
  useFocusBack();
  const secret = useMatch('/invitation/:secret')?.params.secret;
  if (secret !== undefined && !session.isPending) {
    return <Invitation secret={secret} onIn={() => void navigate('/inbox', { replace: true })} />;
  }
  if (session.data) {
    return session.data.mustChangePassword ? (
      <ChangePassword />
    ) : (
      <NowProvider serverNow={session.data.now} readAt={session.dataUpdatedAt} runs={session.data.clockRuns}>
        <MeContext.Provider value={session.data}>
          <Suspense fallback={null}>
            <Frame key={session.data.staff.id} session={session.data} />
          </Suspense>
        </MeContext.Provider>
      </NowProvider>
    );
  }
  if (session.error) return <ProblemNote problem={session.error} onRetry={() => void session.refetch()} />;
  return session.isPending ? null : <SignIn />;
}
