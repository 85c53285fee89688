/// <reference types="vitest/config" />
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

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
  // A machine that builds for everyone may stall for seconds.
  test: { environment: 'node', pool: 'threads', include: ['src/**/*.test.{ts,tsx}'], testTimeout: 30_000 },
}));
