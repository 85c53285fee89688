import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import '@fontsource-variable/literata/index.css';
import '@fontsource-variable/literata/wght-italic.css';
import { CssBaseline, ThemeProvider } from '@mui/material';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { ApiProblem, keys, onSignedOut } from '../shared/api';
import { theme } from '../theme';
import { App } from './App';

const MOST_RETRIES = 2;

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      // The live stream says what changed; nothing else makes what was read old.
      staleTime: 60_000,
      refetchOnWindowFocus: false,
      retry: (count, problem) =>
        count < MOST_RETRIES && !(problem instanceof ApiProblem && problem.status >= 400 && problem.status < 500),
    },
  },
});
onSignedOut(() => queries.setQueryData(keys.session, null));

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <ThemeProvider theme={theme} defaultMode="system" disableTransitionOnChange>
        <CssBaseline />
        <QueryClientProvider client={queries}>
          <BrowserRouter>
            <App />
          </BrowserRouter>
        </QueryClientProvider>
      </ThemeProvider>
    </StrictMode>,
  );
}
