import { useQuery } from '@tanstack/react-query';
import { linesQuery, sitesQuery, staffQuery, teamsQuery, topicsQuery } from '../../shared/api';
import { localOf } from '../../shared/format';
import type { ReportTerms, Subject } from '../../shared/sentence/reports';
import { useNow } from '../../shared/ui';

/** What the blanks of a sentence are filled with. */
export function useReportTerms(subject: Subject): ReportTerms {
  const now = useNow();
  const lines = useQuery(linesQuery).data ?? [];
  return {
    lines,
    sites: useQuery(sitesQuery).data ?? [],
    teams: useQuery(teamsQuery).data ?? [],
    staff: useQuery(staffQuery).data ?? [],
    topics: useQuery(topicsQuery).data ?? [],
    today: localOf(now, lines[0]?.zone ?? 'UTC').slice(0, 10),
    subject,
  };
}
