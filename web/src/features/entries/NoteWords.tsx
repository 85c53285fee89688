import { Box, Button } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, type Entry, type Hit, readAgain, staffQuery } from '../../shared/api';
import { Marked } from './Marked';
import { traceQuery } from './queries';
import { Moment, ProblemNote } from '../../shared/ui';
import { withNames } from './model/mentions';

interface Props {
  note: Entry;
  mine: boolean;
  zone: string;
  /** What is marked in it. */
  hits?: Hit[] | undefined;
}

const NONE: Hit[] = [];

const book = {
  typography: 'words',
  lineHeight: 1.5,
  whiteSpace: 'pre-wrap',
  overflowWrap: 'anywhere',
};

/** What a note says. The person who wrote it can let it say something else, or withdraw it; what it said before stays to be read. */
export function NoteWords({ note, mine, zone, hits = NONE }: Props) {
  const staff = useQuery(staffQuery).data ?? [];
  const [editing, setEditing] = useState(false);
  const [trace, setTrace] = useState(false);
  const named = staff.filter((one) => note.mentions.includes(one.id)).map((one) => one.name);
  if (editing) return <NoteForm note={note} onDone={() => setEditing(false)} />;
  return (
    <Box sx={{ '& .note-acts': { opacity: 0 }, '&:hover .note-acts, &:focus-within .note-acts': { opacity: 1 } }}>
      <Box sx={book}>
        {note.withdrawn ? (
          <Box component="em" sx={{ color: 'text.secondary' }}>
            withdrawn
          </Box>
        ) : hits.length > 0 ? (
          <Marked words={note.words ?? ''} hits={hits} />
        ) : (
          withNames(note.words ?? '', named).map((piece, i) =>
            piece.named ? <strong key={i}>{piece.words}</strong> : <span key={i}>{piece.words}</span>,
          )
        )}
      </Box>
      <Box sx={{ typography: 'caption', color: 'text.secondary', display: 'flex', gap: 1, alignItems: 'baseline' }}>
        {note.editedAt && (
          <Button sx={{ p: 0, fontSize: 'inherit' }} aria-expanded={trace} onClick={() => setTrace(!trace)}>
            {note.withdrawn ? 'earlier wording' : 'changed'}, <Moment at={note.editedAt} zone={zone} />
          </Button>
        )}
        {mine && !note.withdrawn && (
          <Box component="span" className="note-acts">
            <Button sx={{ p: 0, fontSize: 'inherit' }} onClick={() => setEditing(true)}>
              Change this note
            </Button>
          </Box>
        )}
      </Box>
      {trace && <Trace note={note} zone={zone} />}
    </Box>
  );
}

function Trace({ note, zone }: { note: Entry; zone: string }) {
  const before = useQuery(traceQuery(note.conversationId, note.id, true));
  return (
    <Box component="ol" aria-label="Earlier wording" sx={{ m: 0, pl: 2, typography: 'body2', color: 'text.secondary' }}>
      {before.data?.map((each) => (
        <li key={each.at}>
          <s>{each.words}</s>, until <Moment at={each.at} zone={zone} />
        </li>
      ))}
    </Box>
  );
}

function NoteForm({ note, onDone }: { note: Entry; onDone: () => void }) {
  const queries = useQueryClient();
  const [words, setWords] = useState(note.words ?? '');
  const path = { id: note.conversationId, note: note.id };
  const change = useMutation({
    mutationFn: (withdraw: boolean) =>
      withdraw
        ? ask('DELETE', '/api/conversations/{id}/notes/{note}', { path })
        : ask('PUT', '/api/conversations/{id}/notes/{note}', { path, body: { words } }),
    onSuccess: () => {
      readAgain(queries, note.conversationId);
      onDone();
    },
  });
  return (
    <Box
      component="form"
      aria-label="Change this note"
      onSubmit={(event) => {
        event.preventDefault();
        change.mutate(false);
      }}
    >
      <Box
        component="textarea"
        aria-label="The note"
        value={words}
        rows={2}
        // The person who asked for the form wants to type.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        onChange={(event: React.ChangeEvent<HTMLTextAreaElement>) => setWords(event.target.value)}
        onKeyDown={(event: React.KeyboardEvent) => {
          if (event.key === 'Escape') onDone();
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) change.mutate(false);
        }}
        sx={{
          ...book,
          width: '100%',
          boxSizing: 'border-box',
          bgcolor: 'transparent',
          color: 'text.primary',
          border: 1,
          borderStyle: 'dashed',
          borderColor: 'text.secondary',
          borderRadius: 1,
          p: 1,
        }}
      />
      {change.error && <ProblemNote problem={change.error} />}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" disabled={change.isPending || words.trim() === ''}>
          Save the note
        </Button>
        <Button disabled={change.isPending} onClick={() => change.mutate(true)}>
          Withdraw the note
        </Button>
        <Button onClick={onDone}>Undo changes</Button>
      </Box>
    </Box>
  );
}
