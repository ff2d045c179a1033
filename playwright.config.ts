import { defineConfig } from '@playwright/test'
import { LAUNCH } from './e2e/launch'

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  fullyParallel: true,
  workers: 2,
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: [['list']],
  forbidOnly: true,
  // On a shared machine a test may be starved once; it is then reported as flaky, and that is a bug to mend.
  retries: process.env['CI'] ? 1 : 0,
  globalSetup: './e2e/startDatabase.ts',
  use: {
    launchOptions: LAUNCH,
    // A trace of every test takes a third of its time: it is made of the test that is tried again.
    trace: 'on-first-retry',
    timezoneId: 'UTC',
    locale: 'en-GB',
    // Keeping the whole app on the device costs each test a second or two: only those allow it that go without a network.
    serviceWorkers: 'block',
  },
  projects: [
    // The plan is drawn on wide screens only.
    {
      name: 'phone',
      grepInvert: /the wide plan/,
      use: { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true },
    },
    // What does not hang on the width is judged once, on the phone: lost networks, rice but for its path, and what
    // of the book is about its data.
    {
      name: 'wide',
      testIgnore: ['**/survive.spec.ts', '**/start.spec.ts'],
      grepInvert:
        /an answer is held back|keeps nothing|a clock that is set|a reload without a network|two people end|the probe stands|rice from elsewhere|the log of past lots|another rule set|two editors|a reload loses|found on a label|after the taste|from JSON-LD|bands of a style/,
      use: { viewport: { width: 1280, height: 800 } },
    },
  ],
})
