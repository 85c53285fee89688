import { Box, ButtonBase } from '@mui/material';
import { useState } from 'react';
import type { Desk, PersonAtWork } from '../../shared/api';
import { moment, span } from '../../shared/format';
import { StaffMark, useNow } from '../../shared/ui';
import { DRAGGED } from './WorkList';
import { hereEdge } from '../../theme';

interface Props {
  name: string;
  /** None for what nobody owns. */
  person?: PersonAtWork;
  desk: Desk;
  chosen: boolean;
  zone: string;
  /** The teams they are in, in words. */
  teams?: string;
  onChoose: () => void;
  onDropped: (conversation: number, name: string) => void;
}

const FULL = 14;

/** Why someone is in or away, and until when, in words. */
function standing({ in: isIn, why, until, cover }: PersonAtWork, now: Date, zone: string): string {
  const till = until ? ` until ${moment(new Date(until), now, zone)}` : '';
  if (isIn) return why === 'TIMETABLE' || why === 'BY_HAND' ? `in${till}` : 'in';
  const covered = cover ? `, ${cover.name.split(' ')[0] ?? ''} covers` : '';
  return `away${till}${covered}`;
}

/** One person and what they have; work can be dropped on them. */
export function OfficeRow({ name, person, desk, chosen, zone, teams, onChoose, onDropped }: Props) {
  const now = useNow();
  const [over, setOver] = useState(false);
  const full = person?.limit !== undefined && desk.ourTurn >= person.limit;
  const bar = Math.min(1, desk.ourTurn / FULL);
  const figure = { textAlign: 'right', fontVariantNumeric: 'tabular-nums' } as const;
  return (
    <ButtonBase
      role="row"
      aria-selected={chosen}
      onClick={onChoose}
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes(DRAGGED)) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        const dragged = JSON.parse(event.dataTransfer.getData(DRAGGED)) as { id: number; name: string };
        onDropped(dragged.id, dragged.name);
      }}
      sx={{
        width: '100%',
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr) 62px 40px 56px', sm: 'minmax(0, 1fr) 92px 48px 70px 110px' },
        columnGap: 1.5,
        alignItems: 'center',
        textAlign: 'left',
        px: 2,
        py: 0.75,
        borderRadius: 0,
        borderBottom: 1,
        borderColor: 'divider',
        outline: over ? '2px dashed' : 'none',
        outlineOffset: -3,
        bgcolor: chosen || over ? 'inks.pineWash' : 'transparent',
        boxShadow: chosen ? hereEdge : 'none',
      }}
    >
      <Box role="cell" sx={{ minWidth: 0 }}>
        <Box
          sx={{
            fontWeight: 650,
            typography: 'body1',
            color: person && !person.in ? 'text.secondary' : 'text.primary',
          }}
        >
          {person && (
            <>
              <StaffMark mark={person.staff.mark} />{' '}
            </>
          )}
          {name}
        </Box>
        <Box className="figures" sx={{ typography: 'caption', color: 'text.secondary' }}>
          {person
            ? [standing(person, now, zone), teams].filter(Boolean).join(' · ')
            : 'waiting for a colleague to take it'}
        </Box>
      </Box>
      <Box role="cell" sx={figure}>
        <Box component="span" sx={{ fontWeight: 650 }}>
          {desk.ourTurn}
        </Box>
        {person?.limit !== undefined && (
          <Box component="span" sx={{ color: full ? 'warning.main' : 'text.secondary', fontWeight: full ? 700 : 400 }}>
            {full ? ` of ${person.limit}, full` : ` of ${person.limit}`}
          </Box>
        )}
        <Box aria-hidden sx={{ height: 3, mt: 0.25, display: 'flex', justifyContent: 'flex-end' }}>
          <Box sx={{ width: `${bar * 100}%`, bgcolor: desk.late > 0 ? 'error.main' : 'primary.main' }} />
        </Box>
      </Box>
      <Box
        role="cell"
        sx={{
          ...figure,
          color: desk.late > 0 ? 'error.main' : 'text.secondary',
          fontWeight: desk.late > 0 ? 700 : 400,
        }}
      >
        {desk.late}
      </Box>
      <Box role="cell" sx={{ ...figure, color: 'text.secondary' }}>
        {desk.theirTurn}
      </Box>
      <Box role="cell" sx={{ ...figure, color: 'text.secondary', display: { xs: 'none', sm: 'block' } }}>
        {person
          ? person.answeredAt
            ? `${span(new Date(person.answeredAt), now)}${ago(person.answeredAt, now)}`
            : 'not yet'
          : ''}
      </Box>
    </ButtonBase>
  );
}

function ago(at: string, now: Date): string {
  return now.getTime() - new Date(at).getTime() < 60_000 ? '' : ' ago';
}
