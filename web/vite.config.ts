/// <reference types="vitest/config" />
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const LIBRARIES = [
  '@emotion/cache',
  '@emotion/react',
  '@mui/material',
  '@mui/material/styles',
  '@tanstack/react-query',
  '@tanstack/react-virtual',
  '@testing-library/react',
  'react',
  'react-dom',
  'react-dom/client',
  'react/jsx-runtime',
  'react/jsx-dev-runtime',
  'react-router',
];

/** Two pages: the inbox, packed into the application, and the handsets, packed into the stand-ins (`--mode handsets`). */
export default defineConfig(({ mode }) => ({
  plugins: [react()],
  build: {
    outDir: mode === 'handsets' ? 'dist/handsets' : 'dist/inbox',
    emptyOutDir: true,
    manifest: true,
    // What is fetched first is held to a budget of its own.
    chunkSizeWarningLimit: 1_000,
    rolldownOptions: { input: mode === 'handsets' ? 'handsets.html' : 'index.html' },
  },
  server: { proxy: { '/api': 'http://localhost:8080' } },
  test: {
    environment: 'node',
    pool: 'threads',
    // One window and one copy of the libraries for all files: each by itself took two and a half times as long.
    isolate: false,
    setupFiles: ['./src/testing/setup.ts'],
    unstubGlobals: true,
    restoreMocks: true,
    include: ['src/**/*.test.{ts,tsx}'],
    // A machine that builds for everyone may stall for seconds.
    testTimeout: 30_000,
    // In one piece they are read in a fraction of the time, by each file of tests anew.
    deps: { optimizer: { client: { enabled: true, include: LIBRARIES } } },
  },
}));
