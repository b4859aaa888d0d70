import { defineConfig } from '@playwright/test'

/** Debian's Chromium against the production build; every test starts a server of its own. */
export default defineConfig({
  testDir: '.',
  timeout: 600_000,
  expect: { timeout: 60_000 },
  // Drawing in software on a busy machine: a second try, and the summary names every test that needed it.
  retries: 1,
  // One waits for its server and its drawing while the other works.
  workers: 2,
  fullyParallel: false,
  reporter: [['list'], ['json']],
  use: {
    // A control that does not come says so long before its test is over.
    actionTimeout: 90_000,
    viewport: { width: 1280, height: 800 },
    trace: 'on-first-retry',
    // Kept for times without the server in the test of that; elsewhere each page would pack and load the whole app.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--use-gl=angle',
        '--use-angle=swiftshader',
        '--enable-unsafe-swiftshader',
        '--disable-gpu-compositing',
      ],
    },
  },
})
