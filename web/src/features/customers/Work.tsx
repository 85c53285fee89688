import { Box, Button } from '@mui/material';
import { queryOptions } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Appointment, ask, type CustomerPageData, type Job } from '../../shared/api';
import { moment } from '../../shared/format';
import { ActButton, Blank, BlankText, Field, focusing, Moment, ProblemNote, useNow, useRefusal } from '../../shared/ui';
import { useTyped } from '../../shared/ui/useTyped';
import { Section } from './Fact';
import { useCustomerChange } from './queries';

const STATES: Record<Appointment['state'], string> = {
  AGREED: 'agreed',
  KEPT: 'took place',
  MISSED: 'did not come',
  CANCELLED: 'cancelled',
};

type Work = CustomerPageData['work'];

interface Props {
  id: number;
  work: Work;
  zone: string;
  /** Whether anything of the customer can be changed. */
  open: boolean;
  /** The conversation beside which one works; what is made belongs to it. */
  conversation?: number | undefined;
  /** Writes to the customer about one of them. */
  onWrite?: ((about: { appointment: Appointment } | { job: Job }) => void) | undefined;
}

/** Appointments with a customer, made in a few keys. */
export function Appointments({ id, work, zone, open, conversation, onWrite }: Props) {
  const refusal = useRefusal('WORK');
  const now = useNow();
  const [adding, setAdding] = useState(false);
  const [all, setAll] = useState(false);
  const change = useCustomerChange();
  const isAhead = (one: Appointment) => new Date(one.startsAt) >= now && one.state === 'AGREED';
  const shown = all ? work.appointments : work.appointments.filter(isAhead);
  const before = work.appointments.length - shown.length;
  return (
    <Section
      title="Appointments"
      aside={
        open &&
        !adding && (
          <ActButton refusal={refusal} sx={{ p: 0 }} onClick={() => setAdding(true)}>
            Add an appointment
          </ActButton>
        )
      }
    >
      {adding && <NewAppointment id={id} zone={zone} conversation={conversation} onDone={() => setAdding(false)} />}
      {shown.length === 0 && !adding && <Box sx={{ color: 'text.secondary' }}>Nothing agreed.</Box>}
      {shown.map((one) => (
        <Box key={one.id} sx={{ py: 0.25, display: 'flex', flexWrap: 'wrap', columnGap: 1, alignItems: 'baseline' }}>
          <Box component="span" sx={{ fontWeight: 650 }}>
            {one.what}
          </Box>
          <Moment at={one.startsAt} zone={zone} />
          {one.place && <span>at {one.place}</span>}
          {open && refusal === '' ? (
            <Blank
              name={`How ${one.what} stands`}
              value={one.state}
              options={Object.entries(STATES).map(([value, words]) => ({
                value: value as Appointment['state'],
                words,
              }))}
              onChange={(state) =>
                change.mutate({
                  go: () =>
                    ask('PUT', '/api/appointments/{id}', {
                      path: { id: one.id },
                      body: {
                        what: one.what,
                        startsAt: one.startsAt,
                        endsAt: one.endsAt,
                        place: one.place ?? '',
                        conversationId: one.conversationId,
                        version: one.version,
                        state,
                      },
                    }),
                })
              }
            />
          ) : (
            STATES[one.state]
          )}
          <Linked conversation={one.conversationId} here={conversation} />
          {onWrite && (
            <Button sx={{ p: 0 }} aria-label={`Write about ${one.what}`} onClick={() => onWrite({ appointment: one })}>
              Write
            </Button>
          )}
        </Box>
      ))}
      {before > 0 && (
        <Button sx={{ p: 0 }} onClick={() => setAll(true)}>
          Show {before} earlier
        </Button>
      )}
      {change.error && <ProblemNote problem={change.error} />}
    </Section>
  );
}

function Linked({ conversation, here }: { conversation: number | undefined; here: number | undefined }) {
  if (conversation === undefined) return null;
  if (conversation === here) return <Box sx={{ color: 'text.secondary' }}>from this conversation</Box>;
  return (
    <Button sx={{ p: 0 }} component={Link} to={`/inbox/${conversation}`}>
      Conversation
    </Button>
  );
}

const typedTime = (words: string) =>
  queryOptions({
    queryKey: ['typed-time', 'business', words] as const,
    queryFn: () => ask('GET', '/api/appointments/read', { query: { words } }),
    enabled: words.trim() !== '',
    staleTime: 0,
  });

interface NewProps {
  id: number;
  zone: string;
  conversation: number | undefined;
  onDone: () => void;
}

function NewAppointment({ id, zone, conversation, onDone }: NewProps) {
  const [what, setWhat] = useState('');
  const [when, setWhen] = useState('');
  const [place, setPlace] = useState('');
  const now = useNow();
  const { settled } = useTyped(when, typedTime);
  const change = useCustomerChange();
  const startsAt = settled?.at;
  const save = () => {
    if (!startsAt || what.trim() === '') return;
    const body = { what, startsAt, place, state: 'AGREED' as const, conversationId: conversation, version: 0 };
    change.mutate(
      { go: () => ask('POST', '/api/customers/{id}/appointments', { path: { id }, body }) },
      { onSuccess: onDone },
    );
  };
  return (
    <Form label="New appointment" onSave={save} onCancel={onDone} ready={startsAt !== undefined && what.trim() !== ''}>
      <Field
        label="What"
        value={what}
        placeholder="Lift-out"
        // The person who asked for it wants to type it.
        inputRef={focusing}
        onChange={(event) => setWhat(event.target.value)}
      />
      <Field
        label="When"
        value={when}
        placeholder="Thu 14:30"
        error={settled?.why !== undefined}
        helperText={settled?.why ?? (settled?.at ? moment(new Date(settled.at), now, zone) : ' ')}
        onChange={(event) => setWhen(event.target.value)}
      />
      <Field label="Where" value={place} placeholder="Slip 2" onChange={(event) => setPlace(event.target.value)} />
      {change.error && <ProblemNote problem={change.error} />}
    </Form>
  );
}

/** Jobs for a customer: what, how far it is, open or closed. */
export function Jobs({ id, work, zone, open, conversation, onWrite }: Props) {
  const refusal = useRefusal('WORK');
  const [adding, setAdding] = useState(false);
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
    <Section
      title="Jobs"
      aside={
        open &&
        !adding && (
          <ActButton refusal={refusal} sx={{ p: 0 }} onClick={() => setAdding(true)}>
            Add a job
          </ActButton>
        )
      }
    >
      {adding && <NewJob id={id} zone={zone} conversation={conversation} onDone={() => setAdding(false)} />}
      {shown.length === 0 && !adding && <Box sx={{ color: 'text.secondary' }}>No open job.</Box>}
      {shown.map((job) => (
        <Box key={job.id} sx={{ py: 0.25, display: 'flex', flexWrap: 'wrap', columnGap: 1, alignItems: 'baseline' }}>
          {job.number && <Box className="figures">{job.number}</Box>}
          <Box component="span" sx={{ fontWeight: 650 }}>
            {job.what}
          </Box>
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
          <Linked conversation={job.conversationId} here={conversation} />
          {onWrite && (
            <Button sx={{ p: 0 }} aria-label={`Write about ${job.what}`} onClick={() => onWrite({ job })}>
              Write
            </Button>
          )}
        </Box>
      ))}
      {closed > 0 && (
        <Button sx={{ p: 0 }} onClick={() => setAll(true)}>
          Show {closed} closed
        </Button>
      )}
      {change.error && <ProblemNote problem={change.error} />}
    </Section>
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
    <Form label="New job" onSave={save} onCancel={onDone} ready={what.trim() !== ''}>
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
    </Form>
  );
}

interface FormProps {
  label: string;
  ready: boolean;
  onSave: () => void;
  onCancel: () => void;
  children: React.ReactNode;
}

/** A small form in place: Enter saves, Escape leaves it. */
function Form({ label, ready, onSave, onCancel, children }: FormProps) {
  return (
    <Box
      component="form"
      aria-label={label}
      sx={{ display: 'grid', gap: 0.75, py: 0.5 }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        onCancel();
      }}
      onSubmit={(event) => {
        event.preventDefault();
        onSave();
      }}
    >
      {children}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained" disabled={!ready}>
          Save
        </Button>
        <Button onClick={onCancel}>Cancel</Button>
      </Box>
    </Box>
  );
}
