// How Debian's Chromium is started for tests and pictures.
import { chromium } from '@playwright/test';

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
