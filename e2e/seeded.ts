import { rmSync } from 'node:fs';
import { Hut, seededFolder } from './hut';

/** One folder of the demo for all tests, each of which works in a copy of its own. */
export default async function seeded(): Promise<() => void> {
  const hut = await Hut.open({ asNew: true });
  await hut.stop();
  process.env[seededFolder] = hut.folder;
  return () => rmSync(hut.folder, { recursive: true, force: true });
}
