// Finds Chromium for the tests, or installs Debian's where this machine lets it.
import { existsSync } from 'node:fs';
import { spawnSync } from 'node:child_process';

const places = [process.env.CHROMIUM, '/usr/bin/chromium', '/usr/bin/chromium-browser'].filter(Boolean);

/** Path of the browser; it is also put into the environment for the runner. Throws with the way out when there is none. */
export function chromium() {
  let path = places.find((p) => existsSync(p));
  if (!path && existsSync('/usr/bin/apt-get') && process.getuid?.() === 0) {
    console.error('Installing Chromium from the Debian packages …');
    spawnSync('apt-get', ['update', '-qq'], { stdio: ['ignore', 2, 2] });
    spawnSync('apt-get', ['install', '-y', '-qq', 'chromium', 'fonts-liberation'], {
      stdio: ['ignore', 'ignore', 2],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
    path = places.find((p) => existsSync(p));
  }
  if (!path)
    throw new Error(
      'The browser tests need Chromium. On Debian: sudo apt-get install chromium. Elsewhere set CHROMIUM to its path.',
    );
  process.env.CHROMIUM = path;
  return path;
}
