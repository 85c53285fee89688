import { Box, ButtonBase } from '@mui/material';
import type { Conversation } from '../../shared/api';
import { urgency } from '../../shared/format';
import { OwnerMark, useNow } from '../../shared/ui';
import { bookSerif } from '../../theme';
import { standing } from './model/choice';

export const ROW_HEIGHT = 76;

const URGENCY_COLOUR = { late: 'error.main', soon: 'warning.main', fine: 'text.secondary' } as const;

interface Props {
  row: Conversation;
  me: number;
  chosen: boolean;
  lineName: string;
  onOpen: () => void;
}

/** Who, what they said first, and how long it stands so. */
export function Row({ row, me, chosen, lineName, onOpen }: Props) {
  const now = useNow();
  const who = row.customerName ?? row.number;
  const urgent = row.group === 'OUR_TURN' && row.secondsLeft !== undefined ? urgency(row.secondsLeft) : 'fine';
  return (
    <ButtonBase
      component="a"
      href={`/inbox/${row.id}`}
      onClick={(event) => {
        if (event.ctrlKey || event.metaKey) return;
        event.preventDefault();
        onOpen();
      }}
      aria-current={chosen ? 'true' : undefined}
      sx={{
        width: '100%',
        height: ROW_HEIGHT,
        display: 'grid',
        gridTemplateColumns: '30px 1fr',
        columnGap: 1.25,
        alignItems: 'start',
        textAlign: 'left',
        px: 1.5,
        py: 1,
        borderRadius: 0,
        borderBottom: 1,
        borderColor: 'divider',
        bgcolor: (t) => (chosen ? t.vars?.palette.inks.pineWash : 'transparent'),
        boxShadow: (t) => (chosen ? `inset 3px 0 0 ${t.vars?.palette.inks.pine ?? ''}` : 'none'),
        '&:hover': { bgcolor: (t) => (chosen ? t.vars?.palette.inks.pineWash : t.vars?.palette.background.paper) },
      }}
    >
      <OwnerMark owner={row.owner} me={me} />
      <Box sx={{ minWidth: 0 }}>
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
          <Box
            component="span"
            sx={{ fontWeight: 650, flex: 1, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}
          >
            {who}
          </Box>
          <Box
            component="span"
            className="figures"
            sx={{
              typography: 'caption',
              color: URGENCY_COLOUR[urgent],
              fontWeight: urgent === 'fine' ? 400 : 700,
              whiteSpace: 'nowrap',
            }}
          >
            {standing(row, now)}
          </Box>
        </Box>
        <Box
          sx={{
            fontFamily: bookSerif,
            fontSize: '0.875rem',
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            whiteSpace: 'nowrap',
            color: row.group === 'OUR_TURN' ? 'text.primary' : 'text.secondary',
          }}
        >
          {row.lastSpeaker !== 'CUSTOMER' && <em>we: </em>}
          {row.lastWords}
        </Box>
        <Box
          sx={{
            typography: 'caption',
            color: 'text.secondary',
            display: 'flex',
            gap: 1,
            whiteSpace: 'nowrap',
            overflow: 'hidden',
          }}
        >
          <span>{lineName}</span>
          {row.toIdentify && (
            <Box component="span" sx={{ color: 'info.main', fontWeight: 600 }}>
              ? to identify
            </Box>
          )}
          {row.failed && (
            <Box component="span" sx={{ color: 'error.main', fontWeight: 600 }}>
              × not delivered
            </Box>
          )}
        </Box>
      </Box>
    </ButtonBase>
  );
}
