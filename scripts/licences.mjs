// Writes the licence texts of every package that ships, server and web, into one file that the server hands out.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Packages of the lock file that are installed for use and not only for building or testing. */
function shipped(root) {
  const { packages } = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'));
  return Object.entries(packages)
    .filter(([path, p]) => path.includes('node_modules/') && !p.dev && !p.devOptional && !p.link)
    .map(([path, p]) => ({ path: join(root, path), name: path.split('node_modules/').pop(), ...p }))
    .filter((p) => existsSync(p.path));
}

/** The licence file of a package as it came, or the name of its licence where it brought none. */
function textOf({ path, license }) {
  const file = readdirSync(path).find((f) => /^(?:licen[cs]e|copying)(?:[.-].*)?$/i.test(f));
  return file ? readFileSync(join(path, file), 'utf8').trim() : `Licence: ${license ?? 'not said'}`;
}

export function writeLicences(root, file) {
  const parts = shipped(root)
    .sort((a, b) => a.name.localeCompare(b.name))
    .map((p) => `${p.name} ${p.version} (${p.license ?? 'licence not said'})\n\n${textOf(p)}`);
  const own = readFileSync(join(root, 'LICENSE'), 'utf8').trim();
  writeFileSync(file, `${[`Einkorn\n\n${own}`, ...parts].join(`\n\n${'-'.repeat(78)}\n\n`)}\n`);
  return parts.length;
}
