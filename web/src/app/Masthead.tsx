import { Box } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Suspense } from 'react';
import { Link, NavLink, useLocation } from 'react-router';
import type { LineState } from '../realtime';
import { NoticesMenu, noticesQuery } from '../features/notices';
import { countsQuery, type Session, useOnline } from '../shared/api';
import { ActButton, useRefusal, useUnseenInTitle, part } from '../shared/ui';
import { JumpPlace } from './JumpPlace';
import { MyMenu } from './MyMenu';
import { UndoBar } from './UndoBar';

/** Fetched with the page, and nobody waits for it. */
const DeskMenu = part(() => import('../features/to-do').then((feature) => feature.DeskMenu));

interface Props {
  session: Session;
  lineState: LineState;
  onHelp: () => void;
  onWrite: () => void;
}

const place = {
  textDecoration: 'none',
  color: 'text.primary',
  py: 1,
  borderBottom: 2,
  borderColor: 'transparent',
  whiteSpace: 'nowrap',
  '&.active': { borderColor: 'primary.main', fontWeight: 700 },
} as const;

function Count({ of }: { of: number | undefined }) {
  return of ? (
    <Box component="span" className="figures" sx={{ ml: 0.75, typography: 'caption', color: 'text.secondary' }}>
      {of}
    </Box>
  ) : null;
}

/** Wordmark, the places as words with counts, the jump box, and me. */
export function Masthead({ session, lineState, onHelp, onWrite }: Props) {
  const counts = useQuery(countsQuery('')).data;
  const unseen = useQuery(noticesQuery).data?.unseen;
  const leads = session.may.includes('LEAD');
  const mayText = useRefusal('TEXT');
  const online = useOnline();
  useUnseenInTitle(unseen);
  const inOffice = /^\/(office|setup)(\/|$)/.test(useLocation().pathname);
  return (
    <Box
      component="header"
      className="no-print"
      sx={{
        display: 'flex',
        alignItems: 'center',
        columnGap: { xs: 1.5, sm: 3 },
        px: { xs: 1, sm: 2 },
        borderBottom: 1,
        borderColor: 'divider',
        minHeight: 48,
        // What can be taken back comes and goes: it may not move the places and what lies below.
        flexWrap: { xs: 'wrap', lg: 'nowrap' },
      }}
    >
      <Box component="span" sx={{ typography: 'wordmark' }}>
        Fabulum
      </Box>
      <Box
        component="nav"
        aria-label="Places"
        sx={{
          display: 'flex',
          gap: { xs: 1.5, sm: 2.5 },
          order: { xs: 3, sm: 0 },
          flexShrink: { lg: 0 },
          flexBasis: { xs: '100%', sm: 'auto' },
          overflowX: { xs: 'auto', sm: 'visible' },
        }}
      >
        <Box component={NavLink} to="/inbox" sx={place}>
          Inbox
          <Count of={counts?.ourTurn} />
        </Box>
        <Box component={NavLink} to="/identify" sx={place}>
          To identify
          <Count of={counts?.toIdentify} />
        </Box>
        <Box component={NavLink} to="/customers" sx={place}>
          Customers
        </Box>
        <Box component={NavLink} to="/templates" sx={place}>
          Templates
        </Box>
        <Box component={NavLink} to="/history" sx={place}>
          History
        </Box>
        {leads && (
          <Box
            component={Link}
            to="/office"
            aria-current={inOffice ? 'page' : undefined}
            className={inOffice ? 'active' : undefined}
            sx={place}
          >
            Office
          </Box>
        )}
      </Box>
      <UndoBar />
      <Box
        sx={{
          flex: 1,
          display: 'flex',
          justifyContent: 'flex-end',
          minWidth: { xs: 120, sm: 150 },
          order: { xs: 4, sm: 0 },
        }}
      >
        <JumpPlace />
      </Box>
      <Box sx={{ order: { xs: 5, sm: 0 } }}>
        <ActButton hint="W" refusal={mayText} variant="outlined" onClick={onWrite} sx={{ whiteSpace: 'nowrap' }}>
          Write
        </ActButton>
      </Box>
      <Box sx={{ display: { xs: 'block', sm: 'none' }, flex: 1 }} />
      <Suspense fallback={null}>
        <DeskMenu />
      </Suspense>
      <NoticesMenu />
      {(!online || lineState === 'lost') && (
        <Box role="status" sx={{ color: 'warning.main', fontWeight: 600, typography: 'body2' }}>
          {online ? 'No connection; trying again' : 'Offline'}
        </Box>
      )}
      <MyMenu session={session} onHelp={onHelp} />
    </Box>
  );
}
