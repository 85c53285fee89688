import { Box } from '@mui/material';
import { Navigate, NavLink, Route, Routes } from 'react-router';
import type { Session } from '../../shared/api';
import { NoticeChoices } from '../notices';
import { MyPlan } from './MyPlan';
import { Profile } from './Profile';
import { Security } from './Security';

const PLACES = [
  ['profile', 'How I am called'],
  ['plan', 'When I am in'],
  ['notices', 'How I am told'],
  ['security', 'Password and sign-ins'],
] as const;

/** What belongs to me. */
export function Me({ session }: { session: Session }) {
  return (
    <Box component="main" sx={{ flex: 1, minHeight: 0, overflowY: 'auto' }}>
      <Box
        component="nav"
        aria-label="What is mine"
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
            to={`/me/${path}`}
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
      <Box sx={{ p: 2 }}>
        <Routes>
          <Route path="profile" element={<Profile session={session} />} />
          <Route path="plan" element={<MyPlan me={session.staff.id} />} />
          <Route path="notices" element={<NoticeChoices />} />
          <Route path="security" element={<Security />} />
          <Route path="*" element={<Navigate to="/me/profile" replace />} />
        </Routes>
      </Box>
    </Box>
  );
}
