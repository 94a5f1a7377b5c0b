// The word that lets the page write style elements of its own, and nobody else: of this machine, made once, in the page and in the
// header that the server sends with it. The offline worker keeps the page by its sum, which is reckoned anew.
import { createHash, randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

const placeholder = 'nonce-of-the-build';

/** Writes the nonce into a built page. `keptIn`: the file that holds it, so that a newer build has the same. */
export function writeNonce(browser, keptIn) {
  if (!existsSync(keptIn)) {
    mkdirSync(dirname(keptIn), { recursive: true });
    writeFileSync(keptIn, randomBytes(18).toString('base64url'));
  }
  const page = join(browser, 'index.html');
  const written = readFileSync(page, 'utf8').replaceAll(placeholder, readFileSync(keptIn, 'utf8'));
  writeFileSync(page, written);
  const worker = join(browser, 'ngsw.json');
  const manifest = JSON.parse(readFileSync(worker, 'utf8'));
  manifest.hashTable['/index.html'] = createHash('sha1').update(written).digest('hex');
  writeFileSync(worker, JSON.stringify(manifest, null, 2));
}
