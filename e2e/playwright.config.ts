import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './browser.ts';

export default defineConfig({
  testDir: '.',
  globalSetup: './build-once.ts',
  outputDir: '../test-results',
  fullyParallel: false,
  // Each has a server and a database of its own.
  workers: 2,
  timeout: 180_000,
  expect: { timeout: 20_000 },
  forbidOnly: Boolean(process.env.CI),
  reporter: process.env.CI ? [['list']] : [['line']],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
    permissions: ['clipboard-read', 'clipboard-write'],
  },
});
