import { Box, ButtonBase } from '@mui/material';
import type { HistoryRow as Row, Line } from '../../shared/api';
import { money } from '../../shared/format';
import { Moment, StaffMark, useNow } from '../../shared/ui';
import { hereEdge, notePaper } from '../../theme';
import { around, deliveryWords, direction, Marked } from '../entries';

interface Props {
  row: Row;
  line: Line | undefined;
  chosen: boolean;
  teamName: (id: number) => string;
  onOpen: () => void;
}

const one = { overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' } as const;

function speaker({ entry }: Row): string {
  if (entry.kind === 'IN') return 'they';
  if (entry.speaker) return entry.kind === 'NOTE' ? `${entry.speaker.name}, note` : entry.speaker.name;
  return entry.author ?? (entry.automatic ? 'Fabulum, automatic' : 'our office');
}

function costOf({ entry: { cost, currency } }: Row): string {
  return cost !== undefined && currency !== undefined ? money({ amount: cost, currency }) : '';
}

/** What became of a text of ours, what came with it, and what ours cost. */
function facts(row: Row): string {
  const { entry } = row;
  const { attachments = [] } = entry;
  return [
    deliveryWords(entry),
    attachments.length > 0 && (attachments.length === 1 ? '1 attachment' : `${attachments.length} attachments`),
    entry.kind === 'OUT' && costOf(row),
  ]
    .filter(Boolean)
    .join(' · ');
}

/** One text, note or event: when, with whom, by whom, on which line, and its words with what was looked for marked. */
export function HistoryRow({ row, line, chosen, teamName, onOpen }: Props) {
  const now = useNow();
  const { entry, hits } = row;
  const zone = line?.zone ?? 'UTC';
  const who = (row.group ? 'a group' : row.customerName) ?? row.address;
  const near = around(entry.words ?? '', hits);
  const lost = entry.delivery === 'NOT_DELIVERED';
  const said = facts(row);
  return (
    <ButtonBase
      component="a"
      href={`/inbox/${entry.conversationId}?text=${entry.id}`}
      onClick={(event) => {
        if (event.ctrlKey || event.metaKey || event.shiftKey) return;
        event.preventDefault();
        onOpen();
      }}
      aria-current={chosen ? 'true' : undefined}
      sx={{
        width: '100%',
        display: 'block',
        textAlign: 'left',
        px: 1.5,
        py: 1,
        borderRadius: 0,
        borderBottom: 1,
        borderColor: 'divider',
        bgcolor: chosen ? 'inks.pineWash' : 'transparent',
        boxShadow: chosen ? hereEdge : 'none',
        '&:hover': { bgcolor: chosen ? 'inks.pineWash' : 'background.paper' },
      }}
    >
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
        <Box component="span" sx={{ ...one, fontWeight: 650 }}>
          {who}
        </Box>
        <Box component="span" sx={{ ...one, typography: 'caption', color: 'text.secondary', flex: 1 }}>
          {row.toIdentify && (
            <Box component="span" sx={{ color: 'info.main', fontWeight: 600 }}>
              ? to identify{' '}
            </Box>
          )}
          {[line?.name ?? 'another line', entry.kind === 'IN' && costOf(row)].filter(Boolean).join(' · ')}
        </Box>
        <Box component="span" className="figures" sx={{ typography: 'caption', whiteSpace: 'nowrap' }}>
          <Moment at={entry.at} zone={zone} />
        </Box>
      </Box>
      <Box
        sx={[
          {
            typography: entry.kind === 'EVENT' ? 'aside' : 'excerpt',
            color: entry.kind === 'EVENT' ? 'text.secondary' : 'text.primary',
            overflowWrap: 'anywhere',
            display: '-webkit-box',
            WebkitBoxOrient: 'vertical',
            WebkitLineClamp: 3,
            overflow: 'hidden',
          },
          entry.kind === 'NOTE' ? { ...notePaper, pl: 1.5 } : {},
        ]}
      >
        {entry.kind === 'EVENT' ? (
          `(${direction(entry, now, zone, teamName, row.customerName)})`
        ) : (
          <>
            <Box component="span" sx={{ typography: 'caption', fontWeight: 700, color: 'text.secondary' }}>
              {entry.speaker && (
                <>
                  <StaffMark mark={entry.speaker.mark} size={11} />{' '}
                </>
              )}
              {speaker(row)}:{' '}
            </Box>
            {near.from > 0 && '… '}
            <Marked words={near.words} hits={hits} from={near.from} />
          </>
        )}
      </Box>
      {said !== '' && (
        <Box className="figures" sx={{ ...one, typography: 'caption', color: lost ? 'error.main' : 'text.secondary' }}>
          {said}
        </Box>
      )}
    </ButtonBase>
  );
}
