import { existsSync } from 'node:fs';
import { ensureDebianPackages } from './debian.mjs';

/** Installs Chromium and ChromeDriver from Debian unless they are there. */
export async function ensureChromium() {
  await ensureDebianPackages(
    'Chromium with ChromeDriver',
    ['chromium', 'chromium-driver'],
    () => existsSync('/usr/bin/chromium') && existsSync('/usr/bin/chromedriver'),
  );
}
