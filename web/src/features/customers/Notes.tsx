import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, type CustomerFile, staffQuery } from '../../shared/api';
import { ActButton, Field, Moment, ProblemNote, useRefusal } from '../../shared/ui';
import { notePaper } from '../../theme';
import { Section } from './Fact';
import { useCustomerChange } from './queries';

/** What the team has noted about a customer. */
export function Notes({ file, zone }: { file: CustomerFile; zone: string }) {
  const staff = useQuery(staffQuery).data ?? [];
  const refusal = useRefusal('WORK');
  const may = file.joinedInto === undefined;
  const change = useCustomerChange();
  const [editing, setEditing] = useState<number | 'new'>();
  const done = { onSuccess: () => setEditing(undefined) };
  const path = { id: file.id };
  return (
    <Section
      title="Notes for the team"
      aside={
        may &&
        editing === undefined && (
          <ActButton refusal={refusal} sx={{ p: 0 }} onClick={() => setEditing('new')}>
            Add a note
          </ActButton>
        )
      }
    >
      {file.notes.length === 0 && editing === undefined && (
        <Box sx={{ color: 'text.secondary' }}>None. What colleagues should know about them stands here.</Box>
      )}
      {editing === 'new' && (
        <NoteForm
          words=""
          busy={change.isPending}
          onCancel={() => setEditing(undefined)}
          onSave={(words) =>
            change.mutate({ go: () => ask('POST', '/api/customers/{id}/notes', { path, body: { words } }) }, done)
          }
        />
      )}
      {file.notes.map((note) =>
        editing === note.id ? (
          <NoteForm
            key={note.id}
            words={note.words}
            busy={change.isPending}
            onCancel={() => setEditing(undefined)}
            onSave={(words) => {
              const now = words.trim() === '' ? undefined : words;
              const one = { ...path, note: note.id };
              change.mutate(
                {
                  go: () =>
                    ask('PUT', '/api/customers/{id}/notes/{note}', { path: one, body: { was: note.words, now } }),
                },
                done,
              );
            }}
          />
        ) : (
          <Box key={note.id} sx={[{ px: 1.5, py: 0.5, mb: 0.75 }, notePaper]}>
            <Box sx={{ typography: 'words', whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' }}>{note.words}</Box>
            <Box sx={{ typography: 'caption', color: 'text.secondary', display: 'flex', gap: 1 }}>
              <span>
                {staff.find(({ id }) => id === note.staffId)?.name ?? 'from before'}
                {note.notedAt && (
                  <>
                    , <Moment at={note.notedAt} zone={zone} />
                  </>
                )}
              </span>
              {may && (
                <ActButton refusal={refusal} sx={{ p: 0, fontSize: 'inherit' }} onClick={() => setEditing(note.id)}>
                  Change
                </ActButton>
              )}
            </Box>
          </Box>
        ),
      )}
      {change.error && <ProblemNote problem={change.error} />}
    </Section>
  );
}

interface FormProps {
  words: string;
  busy: boolean;
  onSave: (words: string) => void;
  onCancel: () => void;
}

function NoteForm({ words, busy, onSave, onCancel }: FormProps) {
  const [typed, setTyped] = useState(words);
  const isNew = words === '';
  return (
    <Box
      component="form"
      sx={{ display: 'grid', gap: 0.5, mb: 1 }}
      onSubmit={(event) => {
        event.preventDefault();
        onSave(typed);
      }}
    >
      <Field
        label={isNew ? 'Note for the team' : 'Note for the team; empty removes it'}
        value={typed}
        multiline
        minRows={2}
        // The person who asked for it wants to write it.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) onSave(typed);
          if (event.key === 'Escape') onCancel();
        }}
        onChange={(event) => setTyped(event.target.value)}
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained" disabled={busy || (isNew && typed.trim() === '')}>
          Save note
        </Button>
        <Button onClick={onCancel}>Cancel</Button>
      </Box>
    </Box>
  );
}
