import { useQuery } from '@tanstack/react-query';
import { ChangePassword, SignIn } from '../features/session';
import { sessionQuery } from '../shared/api';
import { NowProvider, ProblemNote } from '../shared/ui';
import { Frame } from './Frame';

/** Lets in whoever is signed in. */
export function App() {
  const session = useQuery(sessionQuery);
  if (session.data) {
    return session.data.mustChangePassword ? (
      <ChangePassword />
    ) : (
      <NowProvider serverNow={session.data.now} readAt={session.dataUpdatedAt} runs={session.data.clockRuns}>
        <Frame session={session.data} />
      </NowProvider>
    );
  }
  if (session.error) return <ProblemNote problem={session.error} onRetry={() => void session.refetch()} />;
  return session.isPending ? null : <SignIn />;
}
