/** Where Debian's headless Chromium is; installed from Debian's packages when it is missing and this user may. */
import { execFileSync } from 'node:child_process';

/** The shell without a window starts in half the time of the whole browser; either will do. */
const COMMANDS = ['chromium-headless-shell', 'chromium'];

const pathOf = (command) => {
  try {
    return execFileSync('which', [command], { encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] }).trim();
  } catch {
    return null; // `which` fails when there is none
  }
};

/** The path of the program, or null where there is none. */
export const findChromium = () => COMMANDS.map(pathOf).find((path) => path !== null) ?? null;

/** The same, installed where it is missing. @throws with a sentence */
export function needChromium() {
  if (pathOf(COMMANDS[0]) === null && process.getuid?.() === 0) {
    console.log('Installing Chromium from Debian’s packages (once) …');
    const apt = (...args) => execFileSync('apt-get', args, { stdio: ['ignore', 'ignore', 'inherit'] });
    apt('update', '-qq');
    for (const name of COMMANDS) {
      try {
        apt('install', '-y', '-qq', '--no-install-recommends', name);
        break;
      } catch {
        // A Debian without this package may have the other one.
      }
    }
  }
  const found = findChromium();
  if (!found)
    throw new Error(
      `The stories need the command \`${COMMANDS[0]}\`: install Debian’s package of that name.`,
    );
  return found;
}
