import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { NavLink, useNavigate, useParams } from 'react-router';
import { type Line, type LineSetup, sitesQuery, teamsQuery } from '../../shared/api';
import { allLinesQuery, lineSetupQuery } from './queries';
import { Answered } from '../../shared/ui';
import { USUAL } from './LineSends';
import { LineForm } from './LineForm';

/** The lines beside the one that is being set up. */
export function LinesPage() {
  const lines = useQuery(allLinesQuery);
  return <Answered query={lines}>{(all) => <Lines lines={all} />}</Answered>;
}

function Lines({ lines }: { lines: Line[] }) {
  const navigate = useNavigate();
  const { id } = useParams();
  const chosen = id === 'new' ? undefined : Number(id) || lines[0]?.id;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '240px 1fr' }, minHeight: 0 }}>
      <Box component="nav" aria-label="Lines" sx={{ borderRight: { sm: 1 }, borderColor: { sm: 'divider' }, py: 1 }}>
        {lines.map((line) => (
          <Box
            key={line.id}
            component={NavLink}
            to={`/setup/lines/${line.id}`}
            aria-current={line.id === chosen ? 'page' : undefined}
            sx={{
              display: 'block',
              px: 2,
              py: 0.75,
              color: 'text.primary',
              textDecoration: 'none',
              fontWeight: line.id === chosen ? 700 : 500,
              bgcolor: line.id === chosen ? 'inks.pineWash' : 'transparent',
            }}
          >
            {line.name}
            <Box className="figures" sx={{ typography: 'caption', color: 'text.secondary', fontWeight: 400 }}>
              {line.shownNumber}, {line.site}
              {!line.inUse && ', switched off'}
            </Box>
          </Box>
        ))}
        <Button sx={{ mx: 1, mt: 1 }} onClick={() => void navigate('/setup/lines/new')}>
          Add a line
        </Button>
      </Box>
      {id === 'new' ? <NewLine /> : chosen !== undefined && <KnownLine id={chosen} />}
    </Box>
  );
}

function KnownLine({ id }: { id: number }) {
  const setup = useQuery(lineSetupQuery(id));
  return <Answered query={setup}>{(first) => <LineForm key={id} id={id} first={first} />}</Answered>;
}

function NewLine() {
  const lines = useQuery(allLinesQuery).data;
  const site = useQuery(sitesQuery).data?.[0];
  const team = useQuery(teamsQuery).data?.[0];
  if (!lines || !team) return null;
  if (!site)
    return <Box sx={{ p: 3, color: 'text.secondary' }}>Add a site first, under Sites: a line belongs to one.</Box>;
  const first: LineSetup = {
    name: '',
    number: '',
    region: lines[0]?.region ?? 'US',
    siteId: site.id,
    teamId: team.id,
    zone: lines[0]?.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone,
    inUse: true,
    promiseMinutes: 60,
    week: [1, 2, 3, 4, 5].map((day) => ({ day, from: 8 * 60, to: 17 * 60 })),
    closedDays: [],
    openHolidays: [],
    way: 'NOBODY',
    narrowed: false,
    tellOfNobodys: [],
    sending: USUAL,
  };
  return <LineForm id={undefined} first={first} />;
}
