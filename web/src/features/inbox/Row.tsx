import { Box, ButtonBase } from '@mui/material';
import type { Conversation, Topic, Watched } from '../../shared/api';
import { moment, urgency } from '../../shared/format';
import { Moment, OwnerMark, StaffMark, TopicMark, useNow } from '../../shared/ui';
import { standing } from './model/choice';
import { hereEdge } from '../../theme';

export const ROW_HEIGHT = 76;

const URGENCY_COLOUR = { late: 'error.main', soon: 'warning.main', fine: 'text.secondary' } as const;

interface Props {
  row: Conversation;
  me: number;
  chosen: boolean;
  lineName: string;
  zone: string;
  topics: Topic[];
  /** Who else is at it now. */
  watchers: Watched['watchers'];
  /** What I have not read stands in it. */
  unread: boolean;
  /** Its owner is away; who covers, where someone does. */
  away: { cover?: string | undefined } | undefined;
  /** One of several that are chosen. */
  marked: boolean;
  /** Something is chosen, so the boxes show. */
  choosing: boolean;
  onOpen: () => void;
  onMark: (further: boolean) => void;
}

const BACK_WORDS = {
  ITS_TIME: 'back: its time',
  CUSTOMER_WROTE: 'back: they wrote',
  NOT_DELIVERED: 'back',
  TAKEN_UP: 'brought back',
  TO_DO: 'back: to do',
};

function standingWords(row: Conversation, now: Date, zone: string): string {
  if (row.group !== 'SET_ASIDE') return standing(row, now);
  return row.asideUntil ? `until ${moment(new Date(row.asideUntil), now, zone)}` : 'until they write';
}

/** Who, what they said first, and how long it stands so. */
export function Row(props: Props) {
  const { row, me, chosen, lineName, zone, topics, watchers, unread, away, marked, choosing, onOpen, onMark } = props;
  const now = useNow();
  const who = row.customerName ?? row.number;
  const urgent = row.group === 'OUR_TURN' && row.secondsLeft !== undefined ? urgency(row.secondsLeft) : 'fine';
  return (
    <Box sx={{ position: 'relative', '&:hover .mark-box, & .mark-box:focus-visible': { opacity: 1 } }}>
      <Box
        className="mark-box"
        component="input"
        type="checkbox"
        aria-label={`Choose ${who}`}
        checked={marked}
        readOnly
        onClick={(event: React.MouseEvent) => onMark(event.shiftKey)}
        sx={{
          position: 'absolute',
          zIndex: 1,
          left: 15,
          top: 43,
          m: 0,
          width: 24,
          height: 24,
          accentColor: 'var(--mui-palette-primary-main)',
          opacity: choosing ? 1 : 0,
        }}
      />
      <ButtonBase
        component="a"
        href={`/inbox/${row.id}`}
        onClick={(event) => {
          if (event.ctrlKey || event.metaKey) return;
          event.preventDefault();
          if (event.shiftKey) onMark(true);
          else onOpen();
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
          bgcolor: chosen || marked ? 'inks.pineWash' : 'transparent',
          boxShadow: chosen ? hereEdge : 'none',
          '&:hover': { bgcolor: chosen ? 'inks.pineWash' : 'background.paper' },
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
              {standingWords(row, now, zone)}
            </Box>
          </Box>
          <Box
            sx={{
              typography: 'excerpt',
              overflow: 'hidden',
              textOverflow: 'ellipsis',
              whiteSpace: 'nowrap',
              color: row.group === 'OUR_TURN' ? 'text.primary' : 'text.secondary',
              fontWeight: unread ? 650 : 400,
            }}
          >
            {unread && (
              <Box component="span" sx={{ typography: 'caption', color: 'primary.main', fontWeight: 700 }}>
                new{' '}
              </Box>
            )}
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
            }}
          >
            <Box sx={{ display: 'flex', gap: 1, flex: 1, minWidth: 0, overflow: 'hidden' }}>
              <span>{lineName}</span>
              {away && (
                <Box component="span" sx={{ color: 'warning.main', fontWeight: 600 }}>
                  away{away.cover ? `, ${away.cover} covers` : ''}
                </Box>
              )}
              {row.failed && (
                <Box
                  component="span"
                  sx={{ color: 'error.main', fontWeight: 600, overflow: 'hidden', textOverflow: 'ellipsis' }}
                >
                  × not delivered: {row.failureReason}
                </Box>
              )}
              {watchers.map(({ staff, writing }) => (
                <Box
                  key={staff.id}
                  component="span"
                  sx={{ color: writing ? 'warning.main' : 'info.main', fontWeight: writing ? 700 : 400 }}
                >
                  <StaffMark mark={staff.mark} size={12} /> {staff.initials} {writing ? 'is writing' : 'is reading'}
                </Box>
              ))}
              {row.back && row.group !== 'SET_ASIDE' && (
                <Box component="span" sx={{ color: 'info.main', fontWeight: 600 }}>
                  ↩ {BACK_WORDS[row.back]}
                </Box>
              )}
              {topics.map((topic) => (
                <TopicMark key={topic.id} topic={topic} />
              ))}
              {row.toIdentify && (
                <Box component="span" sx={{ color: 'info.main', fontWeight: 600 }}>
                  ? to identify
                </Box>
              )}
            </Box>
            <Box component="span" className="figures">
              <Moment at={row.lastAt} zone={zone} />
            </Box>
          </Box>
        </Box>
      </ButtonBase>
    </Box>
  );
}
