import { Box, Menu, MenuItem } from '@mui/material';
import { useMutation, useQuery } from '@tanstack/react-query';
import type { RefObject } from 'react';
import { ask, type WayToWrite } from '../../shared/api';
import { ProblemNote, useNow, useOpenConversation } from '../../shared/ui';
import { wayWords } from './model/ways';

interface Props {
  /** Of the conversation. */
  id: number;
  zone: string;
  anchor: RefObject<HTMLElement | null>;
  carry: { words: string; again?: number | undefined };
  onCarried: () => void;
  onClose: () => void;
}

/** The other lines and numbers, each with what changes with it. Begun words go along. */
export function WaysMenu({ id, zone, anchor, carry, onCarried, onClose }: Props) {
  const open = useOpenConversation();
  const now = useNow();
  const ways = useQuery({
    queryKey: ['ways', id],
    queryFn: () => ask('GET', '/api/conversations/{id}/ways', { path: { id } }),
    staleTime: 0,
  });
  const go = useMutation({
    mutationFn: (way: WayToWrite) =>
      ask('POST', '/api/write-to', { body: { line: way.lineId, number: way.address, makeCustomer: false } }),
    onSuccess: (there) => {
      onClose();
      if (there.id === id) return;
      onCarried();
      const words = carry.words === '' ? {} : carry;
      open(there.id, { write: true, ...words });
    },
  });
  // The menu must know its rows when it opens, so that the first of them has the focus.
  if (!ways.data && !ways.error) return null;
  const problem = ways.error ?? go.error;
  return (
    <Menu open anchorEl={() => anchor.current} onClose={onClose} slotProps={{ list: { 'aria-label': 'Send from' } }}>
      {ways.data?.map((way) => (
        <MenuItem
          key={`${way.lineId} ${way.address}`}
          selected={way.here}
          disabled={go.isPending}
          onClick={() => (way.here ? onClose() : go.mutate(way))}
          sx={{ display: 'block' }}
        >
          <Box className="figures">
            From {way.line} to {way.number}
          </Box>
          <Box sx={{ typography: 'caption', color: 'text.secondary' }}>{wayWords(way, now, zone)}</Box>
        </MenuItem>
      ))}
      {ways.data?.length === 0 && <MenuItem disabled>This sender cannot be reached in another way.</MenuItem>}
      {problem && <ProblemNote problem={problem} />}
    </Menu>
  );
}
