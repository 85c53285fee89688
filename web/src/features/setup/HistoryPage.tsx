import { Box, Button } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { historyQuery, linesQuery } from '../../shared/api';
import { Moment, ProblemNote } from '../../shared/ui';

/** Who changed what, and when; the newest first. */
export function HistoryPage() {
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const history = useInfiniteQuery(historyQuery);
  const changes = history.data?.pages.flat() ?? [];
  if (history.error) return <ProblemNote problem={history.error} onRetry={() => void history.refetch()} />;
  if (history.data && changes.length === 0) {
    return (
      <Box sx={{ p: 3, color: 'text.secondary' }}>
        Nothing was changed yet. Every change appears here, with who made it.
      </Box>
    );
  }
  return (
    <Box component="ol" aria-label="Changes" sx={{ listStyle: 'none', m: 0, p: 2, maxWidth: 900 }}>
      {changes.map((change) => (
        <Box
          component="li"
          key={change.id}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', sm: '150px 150px 1fr' },
            columnGap: 2,
            py: 0.5,
            borderBottom: 1,
            borderColor: 'divider',
          }}
        >
          <Box className="figures" sx={{ color: 'text.secondary' }}>
            <Moment at={change.at} zone={zone} />
          </Box>
          <Box>{change.who?.name}</Box>
          <Box sx={{ overflowWrap: 'anywhere' }}>
            <strong>{change.subject}</strong>, {change.what}
            {(change.before ?? change.after) !== undefined && ': '}
            {change.before !== undefined && <s>{change.before}</s>}
            {change.before !== undefined && change.after !== undefined && ' → '}
            {change.after}
          </Box>
        </Box>
      ))}
      {history.hasNextPage && <Button onClick={() => void history.fetchNextPage()}>Earlier changes</Button>}
    </Box>
  );
}
