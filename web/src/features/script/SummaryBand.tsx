import { Box } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { type Conversation, staffQuery, type Summary, toDosQuery } from '../../shared/api';
import { duration } from '../../shared/format';
import { Moment, StaffMark } from '../../shared/ui';

interface Props {
  summary: Summary;
  conversation: Conversation;
  zone: string;
  customer: string;
}

function Item({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <Box component="dt" sx={{ color: 'text.secondary', textAlign: { sm: 'right' } }}>
        {name}
      </Box>
      <Box component="dd" sx={{ m: 0, minWidth: 0, overflowWrap: 'anywhere' }}>
        {children}
      </Box>
    </>
  );
}

const quoted = {
  typography: 'words',
  display: '-webkit-box',
  WebkitLineClamp: 2,
  WebkitBoxOrient: 'vertical',
  overflow: 'hidden',
};

/** What the person who was just handed it needs to know, worked out by the program; it goes with the first act. */
export function SummaryBand({ summary, conversation, zone, customer }: Props) {
  const toDos = useQuery(toDosQuery(conversation.id, conversation.version)).data ?? [];
  const staff = useQuery(staffQuery).data ?? [];
  const { handed, from, fromSince, asked, said, due, promiseMinutes, notes, toGo } = summary;
  const who = handed.speaker?.name ?? 'Fabulum';
  return (
    <Box
      component="aside"
      aria-label="Hand-over summary"
      sx={{
        px: 2,
        py: 0.75,
        borderBottom: 1,
        borderColor: 'divider',
        borderLeft: 3,
        borderLeftColor: 'primary.main',
        bgcolor: 'inks.pineWash',
      }}
    >
      <Box sx={{ fontWeight: 700, typography: 'body2' }}>
        {handed.speaker && <StaffMark mark={handed.speaker.mark} />}{' '}
        {handed.event === 'COVERED' ? `Yours to cover: ${handed.words ?? ''}` : `${who} handed it over`},{' '}
        <Moment at={handed.at} zone={zone} />
      </Box>
      <Box
        component="dl"
        className="figures"
        sx={{
          typography: 'body2',
          m: 0,
          mt: 0.5,
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: '112px minmax(0, 68ch)' },
          columnGap: 1.5,
          rowGap: 0.25,
        }}
      >
        <Item name="it was">
          {from ? `${from.name}’s` : 'nobody’s'}
          {fromSince && (
            <>
              {', since '}
              <Moment at={fromSince} zone={zone} />
            </>
          )}
        </Item>
        {asked && (
          <Item name="last asked">
            <Box sx={quoted}>{asked.words}</Box>
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {customer}, <Moment at={asked.at} zone={zone} />
            </Box>
          </Item>
        )}
        {said && (
          <Item name="we said last">
            <Box sx={quoted}>{said.words}</Box>
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {said.speaker?.name ?? 'Fabulum'}, <Moment at={said.at} zone={zone} />
            </Box>
          </Item>
        )}
        <Item name="promised">
          {due ? (
            <>
              answer due <Moment at={due} zone={zone} /> (within {duration(promiseMinutes)} of working time)
            </>
          ) : (
            'nobody is waiting for an answer'
          )}
        </Item>
        {toDos.length > 0 && (
          <Item name="to do">
            {toDos.map((one) => (
              <Box key={one.note} sx={quoted}>
                {one.words} ({staff.find(({ id }) => id === one.staff)?.initials}, <Moment at={one.dueAt} zone={zone} />
                )
              </Box>
            ))}
          </Item>
        )}
        {notes.length > 0 && (
          <Item name={notes.length === 1 ? 'note' : `${notes.length} notes`}>
            {notes.map((note) => (
              <Box key={note.id} sx={{ typography: 'words' }}>
                {note.speaker?.initials}: {note.words ?? '(withdrawn)'}
              </Box>
            ))}
          </Item>
        )}
        {toGo.length > 0 && (
          <Item name="still to be sent">
            {toGo.map((text) => (
              <Box key={text.id} sx={quoted}>
                {text.words}
              </Box>
            ))}
          </Item>
        )}
      </Box>
    </Box>
  );
}
