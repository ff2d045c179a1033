import { defineConfig } from '@playwright/test'
import { LAUNCH } from './e2e/launch'

/** Files about what is kept, sent, allowed and planned, whatever the screen is. */
const ONCE = [
  'cookThrough',
  'house',
  'instruments',
  'largeOrder',
  'live',
  'people',
  'rehearse',
  'rush',
  'start',
  'survive',
]

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
    // What only a wide screen has is marked @wide.
    {
      name: 'phone',
      grepInvert: /@wide/,
      use: { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true },
    },
    // What does not hang on the width is judged once, on the phone: the files named here, and tests marked @phone.
    {
      name: 'wide',
      testIgnore: ONCE.map((name) => `**/${name}.spec.ts`),
      grepInvert: /@phone/,
      use: { viewport: { width: 1280, height: 800 } },
    },
  ],
})
