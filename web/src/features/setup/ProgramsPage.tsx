import {
  Box,
  Button,
  Checkbox,
  FormControlLabel,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
} from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, linesQuery, type OtherProgram, readAllAgain, staffQuery } from '../../shared/api';
import { Answered, Field, Moment, ProblemNote, ShownOnce } from '../../shared/ui';
import { PROGRAM_RIGHTS, rightsWords, type ProgramRight } from './model/programs';
import { programsQuery } from './queries';
import { useSetUpChange } from './useSetUpChange';

/** Other programs that keep customers, appointments and jobs in step, each with a key of its own. */
export function ProgramsPage() {
  const programs = useQuery(programsQuery);
  const [adding, setAdding] = useState(false);
  const [made, setMade] = useState<{ name: string; key: string }>();
  return (
    <Box sx={{ p: 2, maxWidth: 980, display: 'grid', gap: 1.5 }}>
      <Box>
        Another program, such as your bookkeeping, can keep customers, their numbers, appointments and jobs in step with
        Fabulum. Each program gets a key of its own and can do only what you allow. What it can ask is in{' '}
        <Button component="a" href="/api/openapi" sx={{ p: 0 }}>
          a description for its makers
        </Button>{' '}
        (addresses that begin with /api/outside).
      </Box>
      {made && <ShownOnce key={made.key} name="The new key" secret={made.key} words={`The key for ${made.name}`} />}
      {adding ? (
        <AddProgram
          onMade={(one) => {
            setMade(one);
            setAdding(false);
          }}
          onCancel={() => setAdding(false)}
        />
      ) : (
        <Box>
          <Button variant="contained" onClick={() => setAdding(true)}>
            Add a program
          </Button>
        </Box>
      )}
      <Answered query={programs}>
        {(rows) =>
          rows.length === 0 ? (
            <Box sx={{ color: 'text.secondary' }}>
              No other program yet. Each stays here with what it may do and what it did lately.
            </Box>
          ) : (
            <Programs rows={rows} />
          )
        }
      </Answered>
    </Box>
  );
}

interface AddProps {
  onMade: (made: { name: string; key: string }) => void;
  onCancel: () => void;
}

function AddProgram({ onMade, onCancel }: AddProps) {
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const [rights, setRights] = useState<ProgramRight[]>([]);
  const add = useMutation({
    mutationFn: () => ask('POST', '/api/setup/programs', { body: { name, rights } }),
    onSuccess: ({ key }) => onMade({ name: name.trim(), key }),
    onSettled: () => readAllAgain(queries),
  });
  const toggle = (right: ProgramRight, on: boolean) =>
    setRights(on ? [...rights, right] : rights.filter((one) => one !== right));
  return (
    <Box
      component="form"
      aria-label="Add a program"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate();
      }}
      sx={{ display: 'grid', gap: 1, maxWidth: 560 }}
    >
      <Field label="Name of the program" value={name} onChange={({ target }) => setName(target.value)} />
      <Box role="group" aria-label="What it may do" sx={{ display: 'grid', gridTemplateColumns: { sm: '1fr 1fr' } }}>
        {PROGRAM_RIGHTS.map(([right, words]) => (
          <FormControlLabel
            key={right}
            control={<Checkbox size="small" checked={rights.includes(right)} onChange={(_, on) => toggle(right, on)} />}
            label={words}
          />
        ))}
      </Box>
      {add.error && <ProblemNote problem={add.error} />}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained" disabled={add.isPending}>
          Make its key
        </Button>
        <Button onClick={onCancel}>Cancel</Button>
      </Box>
    </Box>
  );
}

function Programs({ rows }: { rows: OtherProgram[] }) {
  const staff = useQuery(staffQuery).data ?? [];
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const [ending, setEnding] = useState<number>();
  const change = useSetUpChange();
  return (
    <>
      <Box sx={{ overflowX: 'auto', border: 1, borderColor: 'divider', bgcolor: 'background.paper' }}>
        <Table size="small" aria-label="Other programs">
          <TableHead>
            <TableRow>
              <TableCell>Program</TableCell>
              <TableCell>What it may do</TableCell>
              <TableCell>In the last 30 days</TableCell>
              <TableCell sx={{ whiteSpace: 'nowrap' }}>Last used</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {rows.map((one) => (
              <TableRow
                key={one.id}
                sx={{ '& td': { color: one.endedAt === undefined ? undefined : 'text.secondary' } }}
              >
                <TableCell sx={{ overflowWrap: 'anywhere' }}>
                  <Box sx={{ fontWeight: 650 }}>{one.name}</Box>
                  <Box sx={{ typography: 'caption' }}>
                    key {one.keyStart}…, made by {staff.find(({ id }) => id === one.madeBy)?.name ?? 'a lead'}{' '}
                    <Moment at={one.madeAt} zone={zone} />
                  </Box>
                </TableCell>
                <TableCell>{rightsWords(one.rights)}</TableCell>
                <TableCell className="figures">
                  {one.reads.toLocaleString('en-US')} read, {one.changes.toLocaleString('en-US')} changed,{' '}
                  {one.refused.toLocaleString('en-US')} refused
                </TableCell>
                <TableCell>
                  {one.lastUsedAt === undefined ? 'never' : <Moment at={one.lastUsedAt} zone={zone} />}
                </TableCell>
                <TableCell>
                  {one.endedAt !== undefined ? (
                    <>
                      ended <Moment at={one.endedAt} zone={zone} />
                    </>
                  ) : ending === one.id ? (
                    <>
                      It stops working at once.{' '}
                      <Button
                        color="error"
                        sx={{ p: 0 }}
                        disabled={change.isPending}
                        onClick={() =>
                          change.mutate(() => ask('POST', '/api/setup/programs/{id}/end', { path: { id: one.id } }))
                        }
                      >
                        End the key of {one.name}
                      </Button>{' '}
                      <Button sx={{ p: 0 }} onClick={() => setEnding(undefined)}>
                        Keep it
                      </Button>
                    </>
                  ) : (
                    <Button sx={{ p: 0, whiteSpace: 'nowrap' }} onClick={() => setEnding(one.id)}>
                      End its key…
                    </Button>
                  )}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Box>
      {change.error && <ProblemNote problem={change.error} />}
    </>
  );
}
