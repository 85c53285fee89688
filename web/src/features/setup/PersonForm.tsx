import { Box, Button } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { ask, type Invited, linesQuery, type Person, type PersonSetup } from '../../shared/api';
import { Crossed, Moment, ProblemNote, StaffMark, useEdits } from '../../shared/ui';
import { bookSerif } from '../../theme';
import { PlanOf } from '../me';
import { Leaving } from '../office';
import { PersonFields } from './PersonFields';

const FIELDS: Record<keyof PersonSetup, string> = {
  role: 'the role',
  permissions: 'the permissions',
  teams: 'the teams',
  limit: 'the limit',
};

interface Props {
  person: Person;
  me: number;
}

/** One person as leads set them up. What is changed holds at once. */
export function PersonForm({ person, me }: Props) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const link = (useLocation().state as { link?: string } | null)?.link;
  const { staff, standing } = person;
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const { permissions, teams, limit } = person;
  const edits = useEdits<PersonSetup>({ role: staff.role, permissions, teams, limit });
  const [leaving, setLeaving] = useState(false);
  const [planning, setPlanning] = useState(false);
  const act = useMutation({
    mutationFn: ({ path, body }: { path: string; body?: unknown }) =>
      ask<Invited | undefined>(path === '' ? 'PUT' : 'POST', `/api/setup/people/${staff.id}${path}`, body),
    onSuccess: async (answer, { path }) => {
      if (answer?.link) void navigate('.', { replace: true, state: { link: answer.link } });
      await queries.invalidateQueries();
      if (path === '') edits.asItWas();
    },
  });
  return (
    <Box sx={{ display: 'grid', gap: 2, p: 2, maxWidth: 880, alignContent: 'start' }}>
      <Box
        component="form"
        aria-label={staff.name}
        onSubmit={(event) => {
          event.preventDefault();
          act.mutate({ path: '', body: edits.now });
        }}
        sx={{ display: 'grid', gap: 2 }}
      >
        <Box component="h2" sx={{ m: 0, fontFamily: bookSerif, fontSize: '1.25rem', fontWeight: 600 }}>
          <StaffMark mark={staff.mark} size={18} /> {staff.name}
          <Box component="span" sx={{ typography: 'body2', color: 'text.secondary', ml: 1.5 }}>
            {[staff.initials, person.email].filter(Boolean).join(', ')}
          </Box>
        </Box>
        {standing === 'INVITED' && (
          <Box role="note" sx={{ pl: 1.5, borderLeft: 3, borderColor: 'info.main' }}>
            Invited, not joined yet.{' '}
            {person.invitationEnds ? (
              <>
                The link works until <Moment at={person.invitationEnds} zone={zone} />.
              </>
            ) : (
              'The link has ended.'
            )}{' '}
            <Button onClick={() => act.mutate({ path: '/invitation' })}>Send a new link</Button>
            {link && (
              <Box sx={{ overflowWrap: 'anywhere' }}>
                No mail server is set up, so give them this link yourself: <strong>{link}</strong>
              </Box>
            )}
          </Box>
        )}
        {standing === 'OFF' && (
          <Box role="note" sx={{ pl: 1.5, borderLeft: 3, borderColor: 'info.main' }}>
            Deactivated: cannot sign in. Their texts and notes keep their name.{' '}
            <Button onClick={() => act.mutate({ path: '/on' })}>Reactivate</Button>
          </Box>
        )}
        <PersonFields setup={edits.now} problem={act.error} onChange={edits.change} />
        {act.error && <ProblemNote problem={act.error} />}
        <Crossed what={edits.crossed.map((field) => FIELDS[field])} />
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
          <Button type="submit" variant="contained" disabled={!edits.changed || act.isPending}>
            Save
          </Button>
          {edits.changed && <Button onClick={edits.asItWas}>Undo changes</Button>}
          <Button aria-expanded={planning} onClick={() => setPlanning(!planning)}>
            Availability of {staff.name.split(' ')[0]}
          </Button>
          {standing !== 'OFF' && staff.id !== me && (
            <Button aria-haspopup="dialog" onClick={() => setLeaving(true)}>
              Deactivate…
            </Button>
          )}
        </Box>
      </Box>
      {planning && (
        <Box sx={{ borderTop: 1, borderColor: 'divider', pt: 2 }}>
          <PlanOf staff={staff.id} />
        </Box>
      )}
      {leaving && <Leaving staff={staff} forGood onClose={() => setLeaving(false)} onLeft={() => setLeaving(false)} />}
    </Box>
  );
}
