import { Box, Button, Typography } from '@mui/material';
import type { ReactNode } from 'react';
import { Link, useRouteError } from 'react-router';

/** What browsers say when a part of the page is not on the server any more. */
const GONE = /dynamically imported module|importing a module script|error loading dynamically|unable to preload/i;

/** Whether a part of the page could not be fetched, as after an update of the program. */
export function isGone(problem: unknown): boolean {
  return problem instanceof Error && GONE.test(problem.message);
}

function Sheet({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="main" sx={{ flex: 1, p: { xs: 2, sm: 4 } }}>
      <Box role="alert" sx={{ maxWidth: '60ch', bgcolor: 'background.paper', border: 1, borderColor: 'divider', p: 3 }}>
        <Typography component="h1" sx={{ typography: 'title', mb: 1 }}>
          {title}
        </Typography>
        {children}
      </Box>
    </Box>
  );
}

function LoadAgain() {
  return (
    <Button variant="contained" onClick={() => window.location.reload()}>
      Load the page again
    </Button>
  );
}

/** One place broke; the others go on. */
export function PlaceBroke() {
  const gone = isGone(useRouteError());
  return (
    <Sheet title={gone ? 'Fabulum was updated' : 'Something broke on this page'}>
      <Typography sx={{ mb: 2 }}>
        {gone
          ? 'This part of the page is from before the update. Load the page again to continue.'
          : 'Load the page again, or go to another place.'}{' '}
        What you typed in replies and notes is kept.
      </Typography>
      <LoadAgain />
      <Button component={Link} to="/inbox" sx={{ ml: 1 }}>
        To the inbox
      </Button>
    </Sheet>
  );
}

/** The page as a whole broke. */
export function PageBroke() {
  return (
    <Box sx={{ minHeight: '100dvh', display: 'flex' }}>
      <Sheet title="Something broke on this page">
        <Typography sx={{ mb: 2 }}>Load the page again. What you typed in replies and notes is kept.</Typography>
        <LoadAgain />
      </Sheet>
    </Box>
  );
}

/** Nothing is at this address. */
export function NotHere() {
  return (
    <Sheet title="There is nothing at this address">
      <Typography sx={{ mb: 2 }}>The link may be cut off or out of date, or this place is only for leads.</Typography>
      <Button component={Link} to="/inbox" variant="contained">
        To the inbox
      </Button>
    </Sheet>
  );
}
