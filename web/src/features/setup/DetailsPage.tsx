import { Box, Button, FormControlLabel, Radio, RadioGroup, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, customerTermsQuery, type DetailForm, type DetailKind } from '../../shared/api';
import { Form, SaveBar, useForm } from '../../shared/form';
import { Answered, ProblemNote } from '../../shared/ui';
import type { Outcome } from './outcome';
import { useSetUpChange } from './useSetUpChange';

const TYPES: [DetailKind['type'], string][] = [
  ['TEXT', 'any words'],
  ['NUMBER', 'a number'],
  ['DATE', 'a date'],
  ['CHOICE', 'one of a few choices'],
];

const formOf = (kind: DetailKind): DetailForm => ({
  name: kind.name,
  type: kind.type,
  choices: kind.choices.split('\n').filter(Boolean),
  retired: kind.retired,
  version: kind.version,
});

/** The details of customers: what is asked about each of them, and what may stand there. */
export function DetailsPage() {
  const terms = useQuery(customerTermsQuery);
  return (
    <Box sx={{ p: 2, maxWidth: 760 }}>
      <Box sx={{ mb: 1.5 }}>
        Besides name, numbers, e-mail and site, you can keep details of each customer that your business needs: a boat,
        a size, a date. They stand on the customer’s page and beside every script, and help to find who is writing.
      </Box>
      <Answered query={terms}>{({ details }) => <Kinds kinds={details} />}</Answered>
    </Box>
  );
}

function Kinds({ kinds }: { kinds: DetailKind[] }) {
  const [editing, setEditing] = useState<number | 'new'>();
  const done = () => setEditing(undefined);
  const move = useSetUpChange();
  const used = kinds.filter(({ retired, id }) => !retired || id === editing);
  const retired = kinds.filter((kind) => kind.retired && kind.id !== editing);
  const up = (i: number) => {
    const ids = kinds.map(({ id }) => id);
    const [one] = ids.splice(i, 1);
    if (one !== undefined) ids.splice(i - 1, 0, one);
    move.mutate(() => ask('PUT', '/api/setup/details', { body: { ids } }));
  };
  return (
    <Box component="section" aria-label="Details of customers">
      {used.length === 0 && editing === undefined && (
        <Box sx={{ color: 'text.secondary' }}>No details yet. Two or three are enough to begin with.</Box>
      )}
      {used.map((kind) =>
        editing === kind.id ? (
          <KindForm key={kind.id} kind={kind} onDone={done} />
        ) : (
          <Box
            key={kind.id}
            sx={{ display: 'flex', gap: 2, alignItems: 'center', borderTop: 1, borderColor: 'divider', py: 0.25 }}
          >
            <Box sx={{ flex: 1, fontWeight: 650 }}>{kind.name}</Box>
            <Box sx={{ color: 'text.secondary', typography: 'body2' }}>
              {kind.type === 'CHOICE'
                ? kind.choices.split('\n').join(', ')
                : TYPES.find(([type]) => type === kind.type)?.[1]}
            </Box>
            {kind !== used[0] && (
              <Button aria-label={`Move ${kind.name} up`} onClick={() => up(kinds.indexOf(kind))}>
                Move up
              </Button>
            )}
            <Button aria-label={`Change ${kind.name}`} onClick={() => setEditing(kind.id)}>
              Change
            </Button>
          </Box>
        ),
      )}
      {editing === 'new' ? (
        <KindForm kind={undefined} onDone={done} />
      ) : (
        <Button sx={{ px: 0, mt: 0.5 }} onClick={() => setEditing('new')}>
          Add a detail
        </Button>
      )}
      {retired.length > 0 && (
        <Box sx={{ typography: 'body2', color: 'text.secondary', mt: 0.5 }}>
          Retired; customers keep them:
          {retired.map((kind) => (
            <Box key={kind.id} sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
              {kind.name}
              <Button
                sx={{ py: 0 }}
                aria-label={`Bring back ${kind.name}`}
                onClick={() =>
                  move.mutate(() =>
                    ask('PUT', '/api/setup/details/{id}', {
                      path: { id: kind.id },
                      body: { ...formOf(kind), retired: false },
                    }),
                  )
                }
              >
                Bring back
              </Button>
            </Box>
          ))}
        </Box>
      )}
      {move.error && <ProblemNote problem={move.error} />}
    </Box>
  );
}

function KindForm({ kind, onDone }: { kind: DetailKind | undefined; onDone: () => void }) {
  const form = useForm<DetailForm, Outcome>({
    first: kind ? formOf(kind) : { name: '', type: 'TEXT', choices: [], retired: false, version: 0 },
    names: { name: 'the name', type: 'what may stand there', choices: 'the choices' },
    send: (body) =>
      kind
        ? ask('PUT', '/api/setup/details/{id}', { path: { id: kind.id }, body })
        : ask('POST', '/api/setup/details', { body }),
    onSaved: onDone,
  });
  const setup = form.value;
  const type = form.field('type');
  return (
    <Form
      form={form}
      label={kind ? `Change ${kind.name}` : 'New detail'}
      sx={{ borderTop: 1, borderColor: 'divider', py: 1, display: 'grid', gap: 1 }}
    >
      <TextField
        label="Detail"
        value={setup.name}
        placeholder="Boat"
        {...form.field('name')}
        // The person who asked for the form wants to write the word.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        sx={{ maxWidth: 320 }}
        onChange={(event) => form.change({ name: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 60 } }}
      />
      <RadioGroup
        row
        aria-label="What may stand there"
        value={setup.type}
        onChange={(_, next) => form.change({ type: next as DetailKind['type'] })}
      >
        {TYPES.map(([value, words]) => (
          <FormControlLabel key={value} value={value} control={<Radio size="small" />} label={words} />
        ))}
      </RadioGroup>
      {type.error && <Box sx={{ color: 'error.main', typography: 'body2' }}>{type.helperText}</Box>}
      {setup.type === 'CHOICE' && (
        <TextField
          label="Choices, one a line"
          multiline
          minRows={3}
          value={setup.choices.join('\n')}
          {...form.field('choices')}
          sx={{ maxWidth: 320 }}
          onChange={(event) => form.change({ choices: event.target.value.split('\n') })}
        />
      )}
      <SaveBar form={form} save={kind ? 'Save' : 'Add'} ready={setup.name.trim() !== ''} onCancel={onDone}>
        {kind && !kind.retired && <Button onClick={() => form.save({ retired: true })}>Retire</Button>}
      </SaveBar>
    </Form>
  );
}
