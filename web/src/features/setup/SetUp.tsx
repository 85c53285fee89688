import { Box } from '@mui/material';
import { Navigate, NavLink, Route, Routes } from 'react-router';
import { HistoryPage } from './HistoryPage';
import type { Session } from '../../shared/api';
import { LinesPage } from './LinesPage';
import { PeoplePage } from './PeoplePage';
import { RecordPage } from './RecordPage';
import { SignInsPage } from './SignInsPage';
import { SitesPage } from './SitesPage';
import { TeamsPage } from './TeamsPage';
import { TopicsPage } from './TopicsPage';

const PLACES = [
  ['lines', 'Lines'],
  ['people', 'People'],
  ['teams', 'Teams'],
  ['topics', 'Topics'],
  ['sites', 'Sites'],
  ['history', 'Who changed what'],
  ['record', 'Who may what'],
  ['sign-ins', 'Sign-ins'],
] as const;

/** Setting up the front office while everybody works. */
export function SetUp({ session }: { session: Session }) {
  return (
    <Box component="main" sx={{ flex: 1, minHeight: 0, overflowY: 'auto' }}>
      <Box
        component="nav"
        aria-label="Set-up"
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          columnGap: 2.5,
          px: 2,
          borderBottom: 1,
          borderColor: 'divider',
          bgcolor: 'background.paper',
        }}
      >
        {PLACES.map(([path, words]) => (
          <Box
            key={path}
            component={NavLink}
            to={`/setup/${path}`}
            sx={{
              py: 0.75,
              color: 'text.secondary',
              textDecoration: 'none',
              borderBottom: 2,
              borderColor: 'transparent',
              '&.active': { borderColor: 'primary.main', fontWeight: 700, color: 'text.primary' },
            }}
          >
            {words}
          </Box>
        ))}
      </Box>
      <Routes>
        <Route path="lines/:id?" element={<LinesPage />} />
        <Route path="people/:id?" element={<PeoplePage session={session} />} />
        <Route path="teams" element={<TeamsPage />} />
        <Route path="record" element={<RecordPage />} />
        <Route path="sign-ins" element={<SignInsPage />} />
        <Route path="topics" element={<TopicsPage />} />
        <Route path="sites" element={<SitesPage />} />
        <Route path="history" element={<HistoryPage />} />
        <Route path="*" element={<Navigate to="/setup/lines" replace />} />
      </Routes>
    </Box>
  );
}
