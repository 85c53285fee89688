import { Box, Button, Menu, MenuItem } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { type Conversation, linesQuery, listQuery } from '../../shared/api';
import { timeLeft, urgency } from '../../shared/format';
import { OwnerMark, ProblemNote, useKeys, useOpenConversation } from '../../shared/ui';
import { hereEdge } from '../../theme';

/** The type under which a dragged conversation travels. */
export const DRAGGED = 'application/x-fabulum-conversation';

interface Props {
  /** Whose desk; 0 for what nobody owns. */
  whose: number;
  title: string;
  me: number;
  people: { id: number; name: string; in: boolean }[];
  /** A row begins to be dragged. */
  onDrag: () => void;
  onGive: (person: number, conversation: number, name: string) => void;
}

const COLOURS = { late: 'error.main', soon: 'warning.main', fine: 'text.secondary' } as const;

/** What lies on one desk and is our turn, the most urgent first. Arrows walk, H hands over, Enter opens; rows can be dragged. */
export function WorkList({ whose, title, me, people, onDrag, onGive }: Props) {
  const open = useOpenConversation();
  const lines = useQuery(linesQuery).data ?? [];
  const sentence = whose === 0 ? "nobody's" : whose === me ? 'mine' : `colleague ${whose}`;
  const list = useInfiniteQuery(listQuery({ group: 'OUR_TURN', order: 'TIME_LEFT', sentence }));
  const rows = (list.data?.pages.flatMap((page) => page.rows) ?? []).filter(
    (row) => whose !== me || row.owner !== undefined,
  );
  const [at, setAt] = useState(0);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const shown = useRef<HTMLUListElement>(null);
  const here = rows[Math.min(at, rows.length - 1)];
  const walk = (by: 1 | -1) => {
    const next = Math.max(0, Math.min(rows.length - 1, Math.min(at, rows.length - 1) + by));
    setAt(next);
    shown.current?.children[next]?.scrollIntoView({ block: 'nearest' });
  };
  useKeys({
    arrowdown: () => walk(1),
    arrowup: () => walk(-1),
    h: here ? () => setAnchor(shown.current?.querySelector<HTMLElement>('[data-here] button') ?? null) : undefined,
    enter: here ? () => open(here.id) : undefined,
  });
  const name = (row: Conversation) => row.customerName ?? row.number;
  return (
    <Box
      component="section"
      aria-label={`On our turn, ${title}`}
      sx={{ minHeight: { md: 0 }, display: 'flex', flexDirection: 'column', bgcolor: 'background.paper' }}
    >
      <Box component="h2" sx={{ m: 0, px: 2, pt: 1, typography: 'heading' }}>
        {title}, on our turn
      </Box>
      <Box
        sx={{
          px: 2,
          pb: 0.75,
          typography: 'caption',
          color: 'text.secondary',
          borderBottom: 1,
          borderColor: 'divider',
        }}
      >
        Drag one onto a colleague, or use ↑ ↓ and H. Enter opens it.
      </Box>
      {list.error && <ProblemNote problem={list.error} onRetry={() => void list.refetch()} />}
      {list.data && rows.length === 0 && (
        <Box sx={{ p: 3, color: 'text.secondary' }}>Nothing here is waiting for us.</Box>
      )}
      <Box component="ul" ref={shown} sx={{ listStyle: 'none', m: 0, p: 0, overflowY: 'auto', minHeight: 0, flex: 1 }}>
        {rows.map((row) => (
          <Box
            component="li"
            key={row.id}
            draggable
            data-here={row.id === here?.id ? 'yes' : undefined}
            onDragStart={(event: React.DragEvent) => {
              event.dataTransfer.setData(DRAGGED, JSON.stringify({ id: row.id, name: name(row) }));
              event.dataTransfer.effectAllowed = 'move';
              onDrag();
            }}
            sx={{
              display: 'flex',
              gap: 1,
              alignItems: 'center',
              px: 2,
              py: 0.75,
              cursor: 'grab',
              borderBottom: 1,
              borderColor: 'divider',
              boxShadow: row.id === here?.id ? hereEdge : 'none',
            }}
          >
            <OwnerMark owner={row.owner} me={me} size={24} />
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
                <Box
                  component="a"
                  href={`/inbox/${row.id}`}
                  onClick={(event: React.MouseEvent) => {
                    event.preventDefault();
                    open(row.id);
                  }}
                  sx={{
                    fontWeight: 650,
                    color: 'text.primary',
                    textDecoration: 'none',
                    flex: 1,
                    minWidth: 0,
                    overflow: 'hidden',
                    textOverflow: 'ellipsis',
                    whiteSpace: 'nowrap',
                  }}
                >
                  {name(row)}
                </Box>
                <Box
                  className="figures"
                  sx={{
                    typography: 'caption',
                    whiteSpace: 'nowrap',
                    color: COLOURS[urgency(row.secondsLeft ?? 0)],
                    fontWeight: urgency(row.secondsLeft ?? 0) === 'fine' ? 400 : 700,
                  }}
                >
                  {row.secondsLeft === undefined ? '' : timeLeft(row.secondsLeft)}
                </Box>
              </Box>
              <Box
                sx={{
                  typography: 'excerpt',
                  overflow: 'hidden',
                  textOverflow: 'ellipsis',
                  whiteSpace: 'nowrap',
                }}
              >
                {row.lastWords}
              </Box>
              <Box sx={{ typography: 'caption', color: 'text.secondary' }}>
                {lines.find((line) => line.id === row.lineId)?.name}
              </Box>
            </Box>
            <Button
              aria-haspopup="menu"
              aria-label={`Hand over ${name(row)}`}
              onClick={(event) => {
                setAt(rows.indexOf(row));
                setAnchor(event.currentTarget);
              }}
            >
              Hand over
            </Button>
          </Box>
        ))}
      </Box>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {[...people, { id: 0, name: 'nobody', in: true }]
          .filter((one) => one.id !== whose)
          .map((one) => (
            <MenuItem
              key={one.id}
              onClick={() => {
                setAnchor(null);
                if (here) onGive(one.id, here.id, name(here));
              }}
              sx={{ gap: 3 }}
            >
              <Box sx={{ flex: 1 }}>{one.id === 0 ? 'back to nobody' : one.name}</Box>
              <Box sx={{ color: 'text.secondary' }}>{one.in ? '' : 'away'}</Box>
            </MenuItem>
          ))}
      </Menu>
    </Box>
  );
}
