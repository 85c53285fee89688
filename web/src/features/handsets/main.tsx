import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import '@fontsource-variable/literata/index.css';
import { CssBaseline, ThemeProvider } from '@mui/material';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { theme } from '../../theme';
import { Handsets } from './Handsets';
import { Mailbox } from './Mailbox';

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <ThemeProvider theme={theme} defaultMode="system">
        <CssBaseline />
        <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { refetchOnWindowFocus: false } } })}>
          {window.location.pathname.startsWith('/mail') ? <Mailbox /> : <Handsets />}
        </QueryClientProvider>
      </ThemeProvider>
    </StrictMode>,
  );
}
