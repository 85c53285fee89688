import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

/** The same Chromium without a window's machinery costs half as much; where Debian has it, it is used. */
const SHELL = '/usr/bin/chromium-headless-shell';
const executablePath = existsSync(SHELL) ? SHELL : '/usr/bin/chromium';

const chromium = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  // A voice to record, without a microphone.
  '--use-fake-device-for-media-stream',
  '--use-fake-ui-for-media-stream',
];

/** The journeys drive the packed programs, started once with the demonstration business at a fixed time, in Debian's Chromium. */
export default defineConfig({
  testDir: 'browser',
  fullyParallel: true,
  workers: 2,
  retries: 0,
  timeout: 240_000,
  expect: { timeout: 40_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/journeys.json' }]],
  use: {
    baseURL: 'http://localhost:8480',
    viewport: { width: 1280, height: 800 },
    timezoneId: 'America/Chicago',
    launchOptions: { executablePath, args: chromium },
    trace: 'off',
  },
  webServer: {
    command: '../bin/demo --port 8480 --data /tmp/fabulum-journeys --fresh --small --now 2026-06-09T14:05:00-05:00 --run',
    // It ends before the second compiler has paid for itself.
    // Texts leave at once; one journey sets a pause of its own. What 24,000 texts mean is worked out for minutes on one core, and no
    // journey searches by it.
    env: {
      JAVA_TOOL_OPTIONS: '-XX:TieredStopAtLevel=1',
      FABULUM_ARCHIVE: 'false',
      FABULUM_PEOPLE_PAUSE: '0s',
      FABULUM_MEANING_USED: 'false',
    },
    url: 'http://localhost:8480/',
    reuseExistingServer: process.env.FABULUM_RUN !== undefined,
    timeout: 300_000,
    // What went wrong in the program is said where the run is read.
    stdout: 'pipe',
    gracefulShutdown: { signal: 'SIGTERM', timeout: 15_000 },
  },
});
