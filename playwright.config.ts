import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: './tests/e2e',
  globalSetup: './tests/e2e/prepare.ts',
  fullyParallel: true,
  workers: 2,
  timeout: 90_000,
  // A machine that stalls loses a race now and then. What needs its second try is listed as flaky: a fault to mend.
  retries: 1,
  reporter: [['list']],
  outputDir: 'dist-e2e',
  // The built server is loaded as it is: it is no source of a test.
  build: { external: ['**/dist-server/**'] },
  use: {
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        // Letters as wide as in a browser with a window.
        '--font-render-hinting=none',
        // Compiling code for speed takes longer than a test lives, but where much is reckoned. By commas, not by spaces.
        '--js-flags=--interrupt-budget=400000,--invocation-count-for-maglev=2000,--min-semi-space-size=32',
      ],
    },
    contextOptions: { reducedMotion: 'reduce' },
    // The words of times in these tests; that a device's own are followed is a test of its own.
    locale: 'en-GB',
    // What is kept in the browser is tested where a test asks for it; the others see the server itself.
    serviceWorkers: 'block',
  },
  projects: [
    {
      name: 'phone',
      testMatch: /phone\..*/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true },
    },
    { name: 'wide', testMatch: /wide\..*/, use: { viewport: { width: 1280, height: 800 } } },
  ],
});
