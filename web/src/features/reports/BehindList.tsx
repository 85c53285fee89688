import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { linesQuery } from '../../shared/api';
import { fullMoment, moment } from '../../shared/format';
import { ProblemNote, useNow } from '../../shared/ui';
import { timeWords } from './model/values';
import { behindQuery } from './queries';
import type { Asked } from './ReportTable';

interface Props {
  sentence: string;
  asked: Asked;
  onClose: () => void;
}

/** The conversations behind a figure, those that took longest beyond their promise first. */
export function BehindList({ sentence, asked, onClose }: Props) {
  const now = useNow();
  const lines = useQuery(linesQuery).data ?? [];
  const behind = useQuery(behindQuery(sentence, asked.key, asked.late));
  return (
    <Box
      component="section"
      aria-label="Conversations behind this figure"
      sx={{ display: 'flex', flexDirection: 'column', minHeight: 0 }}
    >
      <Box
        sx={{ display: 'flex', alignItems: 'baseline', gap: 1, px: 2, py: 1, borderBottom: 1, borderColor: 'divider' }}
      >
        <Box sx={{ typography: 'heading', flex: 1 }}>
          {asked.late ? 'Late, ' : ''}
          {asked.label}
        </Box>
        <Button onClick={onClose}>Close</Button>
      </Box>
      {behind.error && <ProblemNote problem={behind.error} onRetry={() => void behind.refetch()} />}
      {behind.data?.cases.length === 0 && (
        <Box sx={{ p: 2, color: 'text.secondary' }}>There is no conversation behind this figure that you can see.</Box>
      )}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, overflowY: 'auto' }}>
        {behind.data?.cases.map((one) => {
          const line = lines.find(({ id }) => id === one.lineId);
          const zone = line?.zone ?? 'UTC';
          const beyond = (one.seconds ?? 0) - (one.promiseSeconds ?? Infinity);
          return (
            <Box component="li" key={one.entryId} sx={{ borderBottom: 1, borderColor: 'divider' }}>
              <Box
                component={Link}
                to={`/inbox/${one.conversationId}?text=${one.entryId}`}
                sx={{
                  display: 'grid',
                  gridTemplateColumns: 'minmax(0, 1fr) auto',
                  px: 2,
                  py: 0.75,
                  color: 'text.primary',
                  textDecoration: 'none',
                  '&:hover': { bgcolor: 'inks.pineWash' },
                }}
              >
                <Box sx={{ fontWeight: 650, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
                  {one.name}
                </Box>
                <Box className="figures" sx={{ textAlign: 'right' }}>
                  {one.seconds !== undefined && timeWords(one.seconds)}
                </Box>
                <Box sx={{ typography: 'caption', color: 'text.secondary' }} title={fullMoment(new Date(one.at), zone)}>
                  {moment(new Date(one.at), now, zone)}, {line?.name ?? ''}
                  {one.by !== undefined && `, ${one.by}`}
                </Box>
                <Box
                  className="figures"
                  sx={{
                    typography: 'caption',
                    textAlign: 'right',
                    color: beyond > 0 ? 'error.main' : 'text.secondary',
                  }}
                >
                  {beyond > 0 ? `late ${timeWords(beyond)}` : ''}
                </Box>
                {one.reason !== undefined && (
                  <Box sx={{ typography: 'caption', gridColumn: '1 / -1' }}>{one.reason}</Box>
                )}
              </Box>
            </Box>
          );
        })}
      </Box>
      {behind.data?.more && (
        <Box sx={{ px: 2, py: 1, typography: 'caption', color: 'text.secondary' }}>
          These are the first 100. Fewer days or one line show the others.
        </Box>
      )}
    </Box>
  );
}
