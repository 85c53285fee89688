import { Box } from '@mui/material';
import { Navigate, NavLink, Route, Routes } from 'react-router';
import { HistoryPage } from './HistoryPage';
import { LinesPage } from './LinesPage';
import { SitesPage } from './SitesPage';
import { TopicsPage } from './TopicsPage';

const PLACES = [
  ['lines', 'Lines'],
  ['topics', 'Topics'],
  ['sites', 'Sites'],
  ['history', 'Who changed what'],
] as const;

/** Setting up the front office while everybody works. */
export function SetUp() {
  return (
    <Box component="main" sx={{ flex: 1, minHeight: 0, overflowY: 'auto' }}>
      <Box
        component="nav"
        aria-label="Set-up"
        sx={{ display: 'flex', gap: 2.5, px: 2, borderBottom: 1, borderColor: 'divider', bgcolor: 'background.paper' }}
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
        <Route path="topics" element={<TopicsPage />} />
        <Route path="sites" element={<SitesPage />} />
        <Route path="history" element={<HistoryPage />} />
        <Route path="*" element={<Navigate to="/setup/lines" replace />} />
      </Routes>
    </Box>
  );
}
