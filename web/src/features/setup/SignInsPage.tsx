import { Box, Button } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { linesQuery, type SignInRecord, signInRecordQuery, staffQuery } from '../../shared/api';
import { Moment, ProblemNote } from '../../shared/ui';

const OUTCOMES: Record<SignInRecord['outcome'], string> = {
  IN: 'signed in',
  WRONG: '× wrong name or password',
  SLOWED: '× blocked after too many tries',
};

/** Refused attempts are counted by the hour; what else is shown is of the last of them. */
function times(one: SignInRecord): string {
  return one.tries > 1 ? `, ${one.tries} times within the hour` : '';
}

/** Who signed in, and attempts that were refused; the newest first. */
export function SignInsPage() {
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const staff = useQuery(staffQuery).data ?? [];
  const record = useInfiniteQuery(signInRecordQuery);
  return (
    <Box sx={{ p: 2, maxWidth: 980 }}>
      <Box component="p" sx={{ mt: 0, color: 'text.secondary' }}>
        Kept for 90 days. Refused attempts are counted by the hour and account.
      </Box>
      {record.error && <ProblemNote problem={record.error} onRetry={() => void record.refetch()} />}
      <Box component="ol" aria-label="Sign-ins" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {record.data?.pages.flat().map((one) => (
          <Box
            component="li"
            key={one.id}
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '1fr', sm: '150px 190px 1fr 200px' },
              columnGap: 2,
              py: 0.5,
              borderBottom: 1,
              borderColor: 'divider',
            }}
          >
            <Box className="figures" sx={{ color: 'text.secondary' }}>
              <Moment at={one.at} zone={zone} />
            </Box>
            <Box sx={{ overflowWrap: 'anywhere' }}>
              {staff.find((each) => each.id === one.staffId)?.name ?? 'unknown name'}
            </Box>
            <Box sx={{ color: one.outcome === 'IN' ? 'text.primary' : 'error.main' }}>
              {OUTCOMES[one.outcome]}
              {times(one)}
              {one.endedAt && (
                <Box component="span" sx={{ color: 'text.secondary' }}>
                  , until <Moment at={one.endedAt} zone={zone} />
                </Box>
              )}
            </Box>
            <Box sx={{ color: 'text.secondary' }}>from {one.address}</Box>
          </Box>
        ))}
      </Box>
      {record.hasNextPage && <Button onClick={() => void record.fetchNextPage()}>Earlier</Button>}
    </Box>
  );
}
