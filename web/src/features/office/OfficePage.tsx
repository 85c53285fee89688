import { Box } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, linesQuery, readListsAgain, type Session, teamsQuery } from '../../shared/api';
import { officeQuery } from './queries';
import { OfficeTabs, offerUndo, ProblemNote, tellOwnAct, UNDOABLE, useTitle } from '../../shared/ui';
import { OfficeRow } from './OfficeRow';
import { useStillWhileDragging } from './useStillWhileDragging';
import { WorkList } from './WorkList';

/** Stands for the desk of what nobody owns. */
const NOBODY = 0;

/** The whole front office: who is in, what each has, and moving work by key or by dragging. */
export function OfficePage({ session }: { session: Session }) {
  useTitle('Office');
  const queries = useQueryClient();
  const office = useQuery(officeQuery);
  const { shown, hold } = useStillWhileDragging(office.data);
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const teams = useQuery(teamsQuery).data ?? [];
  const [desk, setDesk] = useState<number>(NOBODY);
  const [said, setSaid] = useState('');
  const move = useMutation({
    meta: UNDOABLE,
    mutationFn: ({ id, person }: { id: number; person: number; name: string; to: string }) =>
      person === NOBODY
        ? ask('POST', '/api/conversations/{id}/let-go', { path: { id } })
        : ask('POST', '/api/conversations/{id}/hand-over', { path: { id }, body: { person } }),
    onSuccess: (answer, { name, to }) => {
      setSaid(`${name} to ${to}`);
      if (answer.undo) offerUndo({ words: `${name} to ${to}`, back: { undo: answer.undo } });
    },
    onSettled: () => {
      tellOwnAct();
      readListsAgain(queries);
      void queries.invalidateQueries({ queryKey: officeQuery.queryKey });
    },
  });
  if (office.error && !office.data) {
    return (
      <Box component="main" sx={{ p: 3 }}>
        <ProblemNote problem={office.error} onRetry={() => void office.refetch()} />
      </Box>
    );
  }
  const { people, nobodys } = shown ?? {
    people: [],
    nobodys: { ourTurn: 0, late: 0, theirTurn: 0, setAside: 0 },
  };
  const names = new Map([[NOBODY, 'nobody'], ...people.map(({ staff }) => [staff.id, staff.name] as const)]);
  const give = (person: number, id: number, name: string) =>
    move.mutate({ id, person, name, to: names.get(person) ?? '' });
  return (
    <Box component="main" sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
      <OfficeTabs />
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.35fr) minmax(340px, 1fr)' },
          gridTemplateRows: { xs: 'auto auto', md: 'minmax(0, 1fr)' },
          overflowY: { xs: 'auto', md: 'hidden' },
        }}
      >
        <Box
          component="section"
          aria-label="People"
          sx={{
            minHeight: { md: 0 },
            overflowY: { md: 'auto' },
            borderRight: { md: 1 },
            borderColor: { md: 'divider' },
          }}
        >
          <Box sx={{ px: 2, pt: 1, pb: 0.5, typography: 'aside', color: 'text.secondary' }}>
            {summary(people.filter((one) => one.in).length, people.length, nobodys.ourTurn)}
          </Box>
          <Box role="table" aria-label="Who has what" sx={{ typography: 'body2' }}>
            <OfficeHead />
            <OfficeRow
              name="Nobody’s"
              desk={nobodys}
              chosen={desk === NOBODY}
              zone={zone}
              onChoose={() => setDesk(NOBODY)}
              onDropped={(id, name) => give(NOBODY, id, name)}
            />
            {people.map((person) => (
              <OfficeRow
                key={person.staff.id}
                name={person.staff.name}
                person={person}
                desk={person.desk}
                chosen={desk === person.staff.id}
                zone={zone}
                teams={teams
                  .filter((team) => person.teams.includes(team.id))
                  .map((team) => team.name)
                  .join(', ')}
                onChoose={() => setDesk(person.staff.id)}
                onDropped={(id, name) => give(person.staff.id, id, name)}
              />
            ))}
          </Box>
          {move.error && <ProblemNote problem={move.error} />}
          <Box
            role="status"
            sx={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden', clipPath: 'inset(50%)' }}
            style={{ width: 1, height: 1 }}
          >
            {said}
          </Box>
        </Box>
        <WorkList
          key={desk}
          whose={desk}
          title={desk === NOBODY ? 'Nobody’s' : `${names.get(desk) ?? ''}’s`}
          me={session.staff.id}
          people={people.map(({ staff, in: isIn }) => ({ id: staff.id, name: staff.name, in: isIn }))}
          onDrag={hold}
          onGive={give}
        />
      </Box>
    </Box>
  );
}

function summary(inNow: number, all: number, nobodys: number): string {
  const waits =
    nobodys === 0
      ? 'Everything on our turn has an owner.'
      : `${nobodys} on our turn ${nobodys === 1 ? 'is' : 'are'} nobody’s.`;
  return `${inNow} of ${all} are in. ${waits}`;
}

function OfficeHead() {
  const head = { color: 'text.secondary', textAlign: 'right' } as const;
  return (
    <Box
      role="row"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: OFFICE_COLUMNS_NARROW, sm: OFFICE_COLUMNS },
        columnGap: 1.5,
        px: 2,
        py: 0.5,
        borderBottom: 1,
        borderColor: 'divider',
        typography: 'caption',
      }}
    >
      <Box role="columnheader" sx={{ color: 'text.secondary' }}>
        who
      </Box>
      <Box role="columnheader" sx={head}>
        our turn
      </Box>
      <Box role="columnheader" sx={head}>
        late
      </Box>
      <Box role="columnheader" sx={head}>
        their turn
      </Box>
      <Box role="columnheader" sx={{ ...head, display: { xs: 'none', sm: 'block' } }}>
        answered last
      </Box>
    </Box>
  );
}

const OFFICE_COLUMNS = 'minmax(0, 1fr) 92px 48px 70px 110px';
const OFFICE_COLUMNS_NARROW = 'minmax(0, 1fr) 62px 40px 56px';
