import { Box } from '@mui/material';
import { Navigate, Route, Routes, useLocation } from 'react-router';
import type { Session } from '../../shared/api';
import { PlaceTabs, useTitle } from '../../shared/ui';
import { MyFigures } from '../reports';
import { NoticeChoices } from './NoticeChoices';
import { PlanOf } from './PlanOf';
import { Profile } from './Profile';
import { Security } from './Security';

const PLACES = [
  ['/me/profile', 'Profile'],
  ['/me/plan', 'Availability'],
  ['/me/notices', 'Notifications'],
  ['/me/figures', 'My figures'],
  ['/me/security', 'Password and sign-ins'],
] as const;

/** What belongs to me. */
export function Me({ session }: { session: Session }) {
  const { pathname } = useLocation();
  useTitle(PLACES.find(([address]) => pathname.startsWith(address))?.[1] ?? 'Profile');
  return (
    <Box component="main" sx={{ flex: 1, minHeight: 0, overflowY: 'auto' }}>
      <PlaceTabs
        name="Profile and settings"
        places={PLACES.filter(([address]) => address !== '/me/figures' || session.may.includes('WORK'))}
      />
      <Box sx={{ p: 2 }}>
        <Routes>
          <Route path="profile" element={<Profile session={session} />} />
          <Route path="plan" element={<PlanOf staff={session.staff.id} mine />} />
          <Route path="notices" element={<NoticeChoices />} />
          <Route path="figures" element={<MyFigures session={session} />} />
          <Route path="security" element={<Security />} />
          <Route path="*" element={<Navigate to="/me/profile" replace />} />
        </Routes>
      </Box>
    </Box>
  );
}
