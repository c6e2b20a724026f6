import { existsSync } from 'node:fs';
import { ensureDebianPackages } from './debian.mjs';

const PROGRAMS = ['/usr/lib/chromium/chromium-headless-shell', '/usr/bin/chromedriver'];

/** Installs Chromium without a window, and ChromeDriver, from Debian unless they are there. */
export async function ensureChromium() {
  await ensureDebianPackages(
    'Chromium with ChromeDriver',
    ['chromium-headless-shell', 'chromium-driver'],
    () => PROGRAMS.every((one) => existsSync(one)),
  );
}
