import { Box } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Appointment, ask, type CustomerPageData, type Job, linesQuery } from '../../shared/api';
import { ActButton, Blank, openWriting, ProblemNote, useKeys, useRefusal } from '../../shared/ui';

export type About = { appointment: Appointment } | { job: Job };

/** Opens the writing place to a customer; what it is about is linked with the conversation. */
export function useWriteTo() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async ({ line, number, about }: { line: number; number: string; about?: About | undefined }) => {
      const { id } = await ask('POST', '/api/write-to', { body: { line, number, makeCustomer: false, name: '' } });
      if (about) await link(about, id);
      return id;
    },
    onSuccess: (id) => openWriting(id),
    onSettled: () => queries.invalidateQueries({ queryKey: ['customers'] }),
  });
}

/** Nothing is changed where it belongs to the conversation already. */
async function link(about: About, conversationId: number): Promise<void> {
  if ('job' in about) {
    const { id, number, what, standing, state, place, version, conversationId: had } = about.job;
    if (had === conversationId) return;
    const body = { number: number ?? '', what, standing, state, place: place ?? '', version, conversationId };
    await ask('PUT', '/api/jobs/{id}', { path: { id }, body });
  } else {
    const { id, what, startsAt, endsAt, place, state, version, conversationId: had } = about.appointment;
    if (had === conversationId) return;
    const body = { what, startsAt, endsAt, place: place ?? '', state, version, conversationId };
    await ask('PUT', '/api/appointments/{id}', { path: { id }, body });
  }
}

interface Props {
  page: CustomerPageData;
  /** The line on which something was said last. */
  usual: number | undefined;
  write: ReturnType<typeof useWriteTo>;
  line: number | undefined;
  onLine: (line: number) => void;
}

/** Writing to a customer: from which line, to which of their numbers. */
export function WriteBar({ page, usual, write, line: chosen, onLine }: Props) {
  const lines = (useQuery(linesQuery).data ?? []).filter(({ inUse }) => inUse);
  const numbers = page.numbers.filter(({ until, address }) => until === undefined && address.startsWith('+'));
  const [number, setNumber] = useState<string>();
  const to = numbers.find(({ address }) => address === number) ?? numbers[0];
  const line = lines.find(({ id }) => id === (chosen ?? usual)) ?? lines[0];
  const refusal = useRefusal('TEXT');
  const go = () => line && to && write.mutate({ line: line.id, number: to.address });
  useKeys({ r: go });
  return (
    <Box
      sx={{
        px: 2,
        py: 1,
        borderTop: 1,
        borderColor: 'divider',
        bgcolor: 'background.paper',
        typography: 'body2',
        display: 'flex',
        flexWrap: 'wrap',
        gap: 1,
        alignItems: 'center',
      }}
    >
      {!to || !line ? (
        <Box sx={{ color: 'text.secondary' }}>
          {line ? 'They have no number to text. Add one on the left.' : 'You have no line to write from.'}
        </Box>
      ) : (
        <>
          <ActButton hint="R" refusal={refusal} variant="contained" disabled={write.isPending} onClick={go}>
            Write to {page.file.name}
          </ActButton>
          <span>
            from{' '}
            <Blank
              name="From which line"
              value={line.id}
              options={lines.map(({ id, name }) => ({ value: id, words: name }))}
              onChange={onLine}
            />{' '}
            to{' '}
            <Blank
              name="To which number"
              value={to.address}
              options={numbers.map(({ address, local, kind }) => ({
                value: address,
                words: kind ? `${local}, ${kind}` : local,
              }))}
              onChange={setNumber}
            />
          </span>
        </>
      )}
      {write.error && <ProblemNote problem={write.error} />}
    </Box>
  );
}
