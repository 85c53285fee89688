import { type InfiniteData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useEffectEvent } from 'react';

interface Reach<Page, Param> {
  /** The key of what is read in stretches. */
  queryKey: readonly unknown[];
  /** The line that is to be shown. */
  line: number | undefined;
  /** It is read already. */
  isRead: boolean;
  /** The parameter of the stretch from the newest line down to one. */
  downTo: (line: number) => Param;
  /** Reads a stretch. */
  read: (param: Param) => Promise<Page>;
}

/** Reads a script down to a line that is to be shown and is not read yet; answers with why it cannot be. */
export function useReach<Page, Param>({ queryKey, line, isRead, downTo, read }: Reach<Page, Param>): Error | null {
  const queries = useQueryClient();
  const wanted = line !== undefined && !isRead;
  const reached = useQuery({
    queryKey: ['reach', queryKey, line] as const,
    queryFn: () => read(downTo(line ?? 0)),
    enabled: wanted,
    staleTime: 0,
    gcTime: 0,
    retry: false,
  });
  const page = wanted ? reached.data : undefined;
  const put = useEffectEvent((found: Page) => {
    if (line === undefined) return;
    const reached = { pages: [found], pageParams: [downTo(line)] };
    // What is on its way would take its place, and may not reach as far.
    void queries
      .cancelQueries({ queryKey, exact: true })
      .then(() => queries.setQueryData<InfiniteData<Page, Param>>(queryKey, reached));
  });
  useEffect(() => {
    if (page !== undefined) put(page);
  }, [page]);
  return wanted ? reached.error : null;
}
