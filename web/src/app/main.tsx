import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import '@fontsource-variable/literata/index.css';
import '@fontsource-variable/literata/wght-italic.css';
import { CssBaseline, ThemeProvider } from '@mui/material';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { ApiProblem, endSession, onSignedOut, Readings } from '../shared/api';
import { drawNow, StandsAt } from '../shared/ui';
import { theme } from '../theme';
import { routes } from './routes';

const MOST_RETRIES = 2;

const queries = new Readings({
  defaultOptions: {
    queries: {
      // The live stream says what changed; nothing else makes what was read old.
      staleTime: 60_000,
      refetchOnWindowFocus: false,
      retry: (count, problem) =>
        count < MOST_RETRIES && !(problem instanceof ApiProblem && problem.status >= 400 && problem.status < 500),
    },
    // Offline, what is pressed is refused at once: kept for later it would overtake what was pressed before.
    mutations: { networkMode: 'always' },
  },
});
onSignedOut(() => endSession(queries));

const router = createBrowserRouter(routes);
const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <ThemeProvider theme={theme} defaultMode="system" disableTransitionOnChange>
        <CssBaseline />
        <QueryClientProvider client={queries}>
          <StandsAt.Provider value={() => router.state.location.pathname}>
            <RouterProvider router={router} flushSync={drawNow} />
          </StandsAt.Provider>
        </QueryClientProvider>
      </ThemeProvider>
    </StrictMode>,
  );
}
