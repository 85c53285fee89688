import { Box } from '@mui/material';
import { useState } from 'react';
import { ask, type Job } from '../../shared/api';
import { Blank, BlankText, Field, focusing, Moment, ProblemNote, useRefusal } from '../../shared/ui';
import { useCustomerChange } from './queries';
import { type NewProps, WorkForm, WorkList, type WorkProps, WorkRow } from './WorkParts';

/** Jobs for a customer: what, how far it is, open or closed. */
export function Jobs({ id, work, zone, open, conversation, onWrite }: WorkProps) {
  const refusal = useRefusal('WORK');
  const [all, setAll] = useState(false);
  const change = useCustomerChange();
  const may = open && refusal === '';
  const shown = all ? work.jobs : work.jobs.filter(({ state }) => state === 'OPEN');
  const closed = work.jobs.length - shown.length;
  const set = (job: Job, next: Partial<Job>) =>
    change.mutate({
      go: () =>
        ask('PUT', '/api/jobs/{id}', {
          path: { id: job.id },
          body: {
            number: job.number ?? '',
            what: job.what,
            standing: job.standing,
            state: job.state,
            place: job.place ?? '',
            conversationId: job.conversationId,
            version: job.version,
            ...next,
          },
        }),
    });
  return (
    <WorkList
      title="Jobs"
      add="Add a job"
      none="No open job."
      rest={closed > 0 ? `Show ${closed} closed` : undefined}
      open={open}
      refusal={refusal}
      problem={change.error}
      form={(done) => <NewJob id={id} zone={zone} conversation={conversation} onDone={done} />}
      onRest={() => setAll(true)}
    >
      {shown.map((job) => (
        <WorkRow
          key={job.id}
          what={job.what}
          conversation={job.conversationId}
          here={conversation}
          before={job.number && <Box className="figures">{job.number}</Box>}
          onWrite={onWrite && (() => onWrite({ job }))}
        >
          {may ? (
            <>
              <BlankText
                name={`How far ${job.what} is`}
                value={job.standing}
                placeholder="how far it is"
                longest={120}
                onChange={(standing) => set(job, { standing })}
              />
              <Blank
                name={`Whether ${job.what} goes on`}
                value={job.state}
                options={[
                  { value: 'OPEN' as const, words: 'open' },
                  { value: 'CLOSED' as const, words: 'closed' },
                ]}
                onChange={(state) => set(job, { state })}
              />
            </>
          ) : (
            <span>
              {job.standing}, {job.state === 'OPEN' ? 'open' : 'closed'}
            </span>
          )}
          {job.openedAt && (
            <Box sx={{ color: 'text.secondary' }}>
              since <Moment at={job.openedAt} zone={zone} />
            </Box>
          )}
        </WorkRow>
      ))}
    </WorkList>
  );
}

function NewJob({ id, conversation, onDone }: NewProps) {
  const [what, setWhat] = useState('');
  const [number, setNumber] = useState('');
  const [standing, setStanding] = useState('');
  const change = useCustomerChange();
  const save = () => {
    if (what.trim() === '') return;
    const body = {
      what,
      number,
      standing,
      state: 'OPEN' as const,
      place: '',
      conversationId: conversation,
      version: 0,
    };
    change.mutate({ go: () => ask('POST', '/api/customers/{id}/jobs', { path: { id }, body }) }, { onSuccess: onDone });
  };
  return (
    <WorkForm label="New job" onSave={save} onCancel={onDone} ready={what.trim() !== ''}>
      <Field
        label="What"
        value={what}
        placeholder="Rudder bearing"
        // The person who asked for it wants to type it.
        inputRef={focusing}
        onChange={(event) => setWhat(event.target.value)}
      />
      <Field
        label="Number"
        value={number}
        placeholder="if it has one"
        onChange={(event) => setNumber(event.target.value)}
      />
      <Field
        label="How far it is"
        value={standing}
        placeholder="waiting for parts"
        onChange={(event) => setStanding(event.target.value)}
      />
      {change.error && <ProblemNote problem={change.error} />}
    </WorkForm>
  );
}
