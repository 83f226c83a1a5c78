/** Where Debian's Chromium is; installed from Debian's packages when it is missing and this user may. */
import { execFileSync } from 'node:child_process';

export function findChromium() {
  try {
    return execFileSync('which', ['chromium'], {
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'ignore'],
    }).trim();
  } catch {
    return null; // `which` fails when there is none
  }
}

export function needChromium() {
  const found = findChromium();
  if (found) return found;
  if (process.getuid?.() === 0) {
    console.log('Installing Chromium from Debian’s packages (once) …');
    execFileSync('apt-get', ['update', '-qq'], { stdio: 'inherit' });
    execFileSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
      stdio: ['ignore', 'ignore', 'inherit'],
    });
  }
  const now = findChromium();
  if (!now)
    throw new Error(
      'The end-to-end tests need the command `chromium`: install Debian’s package of that name.',
    );
  return now;
}
