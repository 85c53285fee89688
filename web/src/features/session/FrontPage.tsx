import { Box, Typography } from '@mui/material';
import type { ReactNode } from 'react';

/** The sheet that lies before the inbox: a title page. */
export function FrontPage({ children }: { children: ReactNode }) {
  return (
    <Box component="main" sx={{ minHeight: '100%', display: 'grid', placeItems: 'center', p: 2 }}>
      <Box
        sx={{
          width: 'min(400px, 100%)',
          bgcolor: 'background.paper',
          border: 1,
          borderColor: 'divider',
          p: { xs: 3, sm: 5 },
        }}
      >
        <Typography component="h1" sx={{ typography: 'cover' }}>
          Fabulum
        </Typography>
        <Box sx={{ borderTop: 1, borderBottom: 1, borderColor: 'divider', height: 4, my: 2 }} />
        {children}
      </Box>
    </Box>
  );
}
