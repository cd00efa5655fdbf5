// How Debian's Chromium is started for tests and pictures.
import { chromium } from '@playwright/test';
import { execFileSync } from 'node:child_process';

export const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium';
export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export const launch = () => chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS, headless: true });

/** A browser with a profile that outlives it, and that can be killed without a word. */
export async function launchKept(folder) {
  const context = await chromium.launchPersistentContext(folder, {
    executablePath: CHROMIUM,
    args: CHROMIUM_ARGS,
    headless: true,
    viewport: { width: 1280, height: 800 },
  });
  return {
    context,
    close: () => context.close(),
    kill: () => {
      try {
        execFileSync('pkill', ['-9', '-f', `user-data-dir=${folder}`]);
      } catch {
        // It was gone already.
      }
    },
  };
}
