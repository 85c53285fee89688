import { useQuery } from '@tanstack/react-query';
import { ask, keys, linesQuery, sitesQuery, staffQuery, teamsQuery, topicsQuery } from '../../shared/api';
import { localOf } from '../../shared/format';
import type { HistoryTerms } from '../../shared/sentence/history';
import { useNow } from '../../shared/ui';

/** What the blanks of a sentence are filled with, as far as a person sees it. */
export function useTerms(customer: number | undefined): HistoryTerms {
  const now = useNow();
  const lines = useQuery(linesQuery).data ?? [];
  const known = useQuery({
    queryKey: [...keys.customers, 'page', customer] as const,
    queryFn: () => ask('GET', '/api/customers/{id}', { path: { id: customer ?? 0 } }),
    enabled: customer !== undefined,
    retry: false,
  }).data;
  return {
    lines,
    sites: useQuery(sitesQuery).data ?? [],
    teams: useQuery(teamsQuery).data ?? [],
    staff: useQuery(staffQuery).data ?? [],
    topics: useQuery(topicsQuery).data ?? [],
    customers: known ? [known.file] : [],
    today: localOf(now, lines[0]?.zone ?? 'UTC').slice(0, 10),
  };
}
