import { Box } from '@mui/material';
import type { ReactNode } from 'react';

/** A part of a page of the set-up, under a heading of its own. */
export function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ display: 'grid', gap: 1.5, justifyItems: 'start' }}>
      <Box component="h3" sx={{ m: 0, typography: 'heading' }}>
        {title}
      </Box>
      {children}
    </Box>
  );
}
