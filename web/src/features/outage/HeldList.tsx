import { Box, Link, Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link as RouterLink } from 'react-router';
import { type NetworkText, linesQuery } from '../../shared/api';
import { fullMoment, moment } from '../../shared/format';

const STATE: Record<string, string> = {
  MISSING: 'missing',
  DIFFERENT: 'different',
  TAKEN: 'taken in',
  CANNOT: 'cannot be taken in',
};

interface Props {
  texts: NetworkText[];
  now: Date;
  zone: string;
}

/** What the network holds and we do not have so, with its day and our time. */
export function HeldList({ texts, now, zone }: Props) {
  const lines = useQuery(linesQuery).data ?? [];
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small" aria-label="Texts of the network">
        <TableHead>
          <TableRow>
            <TableCell>network’s day (UTC)</TableCell>
            <TableCell>our time</TableCell>
            <TableCell>from</TableCell>
            <TableCell>line</TableCell>
            <TableCell>words</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {texts.map((text) => {
            const line = lines.find(({ id }) => id === text.lineId);
            const at = new Date(text.at);
            return (
              <TableRow key={text.networkId} sx={{ verticalAlign: 'top' }}>
                <TableCell className="figures" sx={{ whiteSpace: 'nowrap' }}>
                  {text.day}
                </TableCell>
                <TableCell className="figures" sx={{ whiteSpace: 'nowrap' }} title={fullMoment(at, line?.zone ?? zone)}>
                  {moment(at, now, line?.zone ?? zone)}
                </TableCell>
                <TableCell className="figures" sx={{ whiteSpace: 'nowrap' }}>
                  {text.number}
                </TableCell>
                <TableCell sx={{ whiteSpace: 'nowrap' }}>{line?.name ?? 'no line of ours'}</TableCell>
                <TableCell sx={{ typography: 'excerpt', overflowWrap: 'anywhere', minWidth: 240 }}>
                  {text.words}
                  {text.ours !== undefined && <Box sx={{ color: 'text.secondary' }}>ours: {text.ours}</Box>}
                  {text.problem !== undefined && <Box sx={{ color: 'error.main' }}>{text.problem}</Box>}
                </TableCell>
                <TableCell sx={{ whiteSpace: 'nowrap' }}>
                  {text.conversationId !== undefined ? (
                    <Link component={RouterLink} to={`/inbox/${text.conversationId}?text=${text.entryId ?? ''}`}>
                      {STATE[text.state]}
                    </Link>
                  ) : (
                    STATE[text.state]
                  )}
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
      {texts.length >= 500 && (
        <Box sx={{ typography: 'caption', color: 'text.secondary', pt: 0.5 }}>These are the first 500.</Box>
      )}
    </Box>
  );
}
