import { Box } from '@mui/material';
import { Navigate, Route, Routes, useLocation } from 'react-router';
import { CostsPage } from './CostsPage';
import { DetailsPage } from './DetailsPage';
import { FormsPage } from './FormsPage';
import { HistoryPage } from './HistoryPage';
import type { Session } from '../../shared/api';
import { OfficeTabs, PlaceTabs, useTitle } from '../../shared/ui';
import { KeptAsidePage } from './KeptAsidePage';
import { LinesPage } from './LinesPage';
import { MailPage } from './MailPage';
import { PeoplePage } from './PeoplePage';
import { ProgramsPage } from './ProgramsPage';
import { RecordPage } from './RecordPage';
import { SendingPage } from './SendingPage';
import { SignInsPage } from './SignInsPage';
import { SitesPage } from './SitesPage';
import { TeamsPage } from './TeamsPage';
import { TopicsPage } from './TopicsPage';

const PLACES = [
  ['/setup/lines', 'Lines'],
  ['/setup/people', 'People'],
  ['/setup/teams', 'Teams'],
  ['/setup/topics', 'Topics'],
  ['/setup/sites', 'Sites'],
  ['/setup/details', 'Customer details'],
  ['/setup/sending', 'Sending'],
  ['/setup/costs', 'Costs'],
  ['/setup/forms', 'Web forms'],
  ['/setup/programs', 'Other programs'],
  ['/setup/history', 'Change log'],
  ['/setup/record', 'Access log'],
  ['/setup/sign-ins', 'Sign-ins'],
  ['/setup/kept-aside', 'Kept aside'],
  ['/setup/mail', 'Mail'],
] as const;

/** Setting up the front office while everybody works. */
export function SetUp({ session }: { session: Session }) {
  const { pathname } = useLocation();
  useTitle(PLACES.find(([address]) => pathname.startsWith(address))?.[1], 'Set-up');
  return (
    <Box component="main" sx={{ flex: 1, minHeight: 0, overflowY: 'auto', display: 'flex', flexDirection: 'column' }}>
      <OfficeTabs />
      <PlaceTabs name="Set-up" places={PLACES} />
      <Routes>
        <Route path="lines/:id?" element={<LinesPage />} />
        <Route path="people/:id?" element={<PeoplePage session={session} />} />
        <Route path="teams" element={<TeamsPage />} />
        <Route path="record" element={<RecordPage />} />
        <Route path="sign-ins" element={<SignInsPage />} />
        <Route path="kept-aside" element={<KeptAsidePage />} />
        <Route path="mail" element={<MailPage />} />
        <Route path="topics" element={<TopicsPage />} />
        <Route path="sending" element={<SendingPage />} />
        <Route path="costs" element={<CostsPage />} />
        <Route path="details" element={<DetailsPage />} />
        <Route path="forms" element={<FormsPage />} />
        <Route path="programs" element={<ProgramsPage />} />
        <Route path="sites" element={<SitesPage />} />
        <Route path="history" element={<HistoryPage />} />
        <Route path="*" element={<Navigate to="/setup/lines" replace />} />
      </Routes>
    </Box>
  );
}
