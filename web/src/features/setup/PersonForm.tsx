import { Box, Button } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { ask, linesQuery, type Person, type PersonSetup } from '../../shared/api';
import { Form, SaveBar, useForm } from '../../shared/form';
import { Moment, ProblemNote, StaffMark } from '../../shared/ui';
import { PlanOf } from '../me';
import { Leaving } from '../office';
import { PersonFields } from './PersonFields';

const FIELDS: Record<keyof PersonSetup, string> = {
  role: 'the role',
  permissions: 'the permissions',
  teams: 'the teams',
  limit: 'the limit',
  secondLook: 'the second look',
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
  const { permissions, teams, limit, secondLook } = person;
  const path = { id: staff.id };
  const form = useForm<PersonSetup, unknown>({
    first: { role: staff.role, permissions, teams, limit, secondLook },
    names: FIELDS,
    send: (body) => ask('PUT', '/api/setup/people/{id}', { path, body }),
  });
  const [leaving, setLeaving] = useState(false);
  const [planning, setPlanning] = useState(false);
  const invite = useMutation({
    mutationFn: () => ask('POST', '/api/setup/people/{id}/invitation', { path }),
    onSuccess: ({ link }) => {
      if (link) void navigate('.', { replace: true, state: { link } });
      return queries.invalidateQueries();
    },
  });
  const reactivate = useMutation({
    mutationFn: () => ask('POST', '/api/setup/people/{id}/on', { path }),
    onSuccess: () => queries.invalidateQueries(),
  });
  const problem = invite.error ?? reactivate.error;
  return (
    <Box sx={{ display: 'grid', gap: 2, p: 2, maxWidth: 880, alignContent: 'start' }}>
      <Form form={form} label={staff.name} sx={{ display: 'grid', gap: 2 }}>
        <Box component="h2" sx={{ m: 0, typography: 'title' }}>
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
            <Button onClick={() => invite.mutate()}>Send a new link</Button>
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
            <Button onClick={() => reactivate.mutate()}>Reactivate</Button>
          </Box>
        )}
        <PersonFields setup={form.value} problem={form.problem} onChange={form.change} />
        {problem && <ProblemNote problem={problem} />}
        <SaveBar form={form} save="Save">
          <Button aria-expanded={planning} onClick={() => setPlanning(!planning)}>
            Availability of {staff.name.split(' ')[0]}
          </Button>
          {standing !== 'OFF' && staff.id !== me && (
            <Button aria-haspopup="dialog" onClick={() => setLeaving(true)}>
              Deactivate…
            </Button>
          )}
        </SaveBar>
      </Form>
      {planning && (
        <Box sx={{ borderTop: 1, borderColor: 'divider', pt: 2 }}>
          <PlanOf staff={staff.id} />
        </Box>
      )}
      {leaving && <Leaving staff={staff} forGood onClose={() => setLeaving(false)} onLeft={() => setLeaving(false)} />}
    </Box>
  );
}
