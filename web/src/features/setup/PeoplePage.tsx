import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { NavLink, useNavigate, useParams } from 'react-router';
import { type Person, type Session } from '../../shared/api';
import { peopleQuery } from './queries';
import { Answered, StaffMark } from '../../shared/ui';
import { InviteForm } from './InviteForm';
import { standingWords } from './model/people';
import { PersonForm } from './PersonForm';

/** The people beside the one who is being set up. */
export function PeoplePage({ session }: { session: Session }) {
  const people = useQuery(peopleQuery);
  return <Answered query={people}>{(all) => <People people={all} me={session.staff.id} />}</Answered>;
}

function People({ people, me }: { people: Person[]; me: number }) {
  const navigate = useNavigate();
  const { id } = useParams();
  const chosen = id === 'new' ? undefined : (people.find((one) => one.staff.id === Number(id)) ?? people[0]);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '260px 1fr' }, minHeight: 0 }}>
      <Box component="nav" aria-label="People" sx={{ borderRight: { sm: 1 }, borderColor: { sm: 'divider' }, py: 1 }}>
        {people.map((person) => (
          <PersonLink key={person.staff.id} person={person} chosen={person === chosen} />
        ))}
        <Button sx={{ mx: 1, mt: 1 }} onClick={() => void navigate('/setup/people/new')}>
          Invite a colleague
        </Button>
      </Box>
      {id === 'new' ? (
        <InviteForm onDone={(made, link) => void navigate(`/setup/people/${made}`, { state: { link } })} />
      ) : (
        chosen && <PersonForm key={chosen.staff.id} person={chosen} me={me} />
      )}
    </Box>
  );
}

function PersonLink({ person, chosen }: { person: Person; chosen: boolean }) {
  const { staff, standing } = person;
  return (
    <Box
      component={NavLink}
      to={`/setup/people/${staff.id}`}
      aria-current={chosen ? 'page' : undefined}
      sx={{
        display: 'block',
        px: 2,
        py: 0.5,
        color: standing === 'ACTIVE' ? 'text.primary' : 'text.secondary',
        textDecoration: 'none',
        fontWeight: chosen ? 700 : 500,
        bgcolor: chosen ? 'inks.pineWash' : 'transparent',
      }}
    >
      <StaffMark mark={staff.mark} /> {staff.name}
      <Box sx={{ typography: 'caption', color: 'text.secondary', fontWeight: 400 }}>{standingWords(person)}</Box>
    </Box>
  );
}
