import { Box } from '@mui/material';
import type { ReactNode } from 'react';

/** A row of facts: what it is, and what it says. To stand in a list of definitions of two columns. */
export function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <Box component="dt" sx={{ color: 'text.secondary' }}>
        {name}
      </Box>
      <Box component="dd" sx={{ m: 0, minWidth: 0, overflowWrap: 'anywhere' }}>
        {children}
      </Box>
    </>
  );
}

/** Facts under each other. */
export function Facts({ children }: { children: ReactNode }) {
  return (
    <Box
      component="dl"
      className="figures"
      sx={{
        m: 0,
        display: 'grid',
        gridTemplateColumns: 'minmax(72px, auto) minmax(0, 1fr)',
        columnGap: 1.5,
        rowGap: 0.5,
        typography: 'body2',
      }}
    >
      {children}
    </Box>
  );
}

/** A part of what is on file, with its heading. */
export function Section({ title, aside, children }: { title: string; aside?: ReactNode; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ mt: 2, typography: 'body2' }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, mb: 0.5, borderBottom: 1, borderColor: 'divider' }}>
        <Box component="h3" sx={{ m: 0, typography: 'heading', flex: 1 }}>
          {title}
        </Box>
        {aside}
      </Box>
      {children}
    </Box>
  );
}
