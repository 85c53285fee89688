import { queryOptions } from '@tanstack/react-query';
import { useState } from 'react';
import { type Appointment, ask } from '../../shared/api';
import { moment } from '../../shared/format';
import { Blank, Field, focusing, Moment, ProblemNote, useNow, useRefusal } from '../../shared/ui';
import { useTyped } from '../../shared/ui/useTyped';
import { useCustomerChange } from './queries';
import { type NewProps, WorkForm, WorkList, type WorkProps, WorkRow } from './WorkParts';

const STATES: Record<Appointment['state'], string> = {
  AGREED: 'agreed',
  KEPT: 'took place',
  MISSED: 'did not come',
  CANCELLED: 'cancelled',
};

/** Appointments with a customer, made in a few keys. */
export function Appointments({ id, work, zone, open, conversation, onWrite }: WorkProps) {
  const refusal = useRefusal('WORK');
  const now = useNow();
  const [all, setAll] = useState(false);
  const change = useCustomerChange();
  const isAhead = (one: Appointment) => new Date(one.startsAt) >= now && one.state === 'AGREED';
  const shown = all ? work.appointments : work.appointments.filter(isAhead);
  const before = work.appointments.length - shown.length;
  return (
    <WorkList
      title="Appointments"
      add="Add an appointment"
      none="Nothing agreed."
      rest={before > 0 ? `Show ${before} earlier` : undefined}
      open={open}
      refusal={refusal}
      problem={change.error}
      form={(done) => <NewAppointment id={id} zone={zone} conversation={conversation} onDone={done} />}
      onRest={() => setAll(true)}
    >
      {shown.map((one) => (
        <WorkRow
          key={one.id}
          what={one.what}
          conversation={one.conversationId}
          here={conversation}
          onWrite={onWrite && (() => onWrite({ appointment: one }))}
        >
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
        </WorkRow>
      ))}
    </WorkList>
  );
}

const typedTime = (words: string) =>
  queryOptions({
    queryKey: ['typed-time', 'business', words] as const,
    queryFn: () => ask('GET', '/api/appointments/read', { query: { words } }),
    enabled: words.trim() !== '',
    staleTime: 0,
  });

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
    <WorkForm
      label="New appointment"
      onSave={save}
      onCancel={onDone}
      ready={startsAt !== undefined && what.trim() !== ''}
    >
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
    </WorkForm>
  );
}
