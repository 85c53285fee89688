import type { ReactNode } from 'react';
import { ProblemNote } from './ProblemNote';

interface Props<T> {
  query: { data: T | undefined; error: unknown; refetch: () => unknown };
  children: (data: T) => ReactNode;
}

/** What was asked for, once it is there. When it could not be read again, that is said above what was read before, which stays. */
export function Answered<T>({ query, children }: Props<T>) {
  return (
    <>
      {query.error !== null && <ProblemNote problem={query.error} onRetry={() => void query.refetch()} />}
      {query.data !== undefined && children(query.data)}
    </>
  );
}
