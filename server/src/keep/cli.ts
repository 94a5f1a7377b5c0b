import { examine } from './doctor';
import { FolderProblem, snapshotNames } from './folder';
import { restoreSnapshot } from './restore';

/** `doctor` or `restore SNAPSHOT` on a data folder. @returns the exit code: 1 where something is wrong */
export async function main([command, name]: readonly string[], folder: string): Promise<number> {
  if (command === 'doctor') {
    console.log(`Data folder: ${folder}`);
    const findings = await examine(folder);
    for (const f of findings) console.log(`${f.ok ? 'ok   ' : 'WRONG'} ${f.text}`);
    return findings.every((f) => f.ok) ? 0 : 1;
  }
  if (command === 'restore' && name) {
    try {
      const aside = await restoreSnapshot(folder, name);
      console.log(`${name} is in place.${aside ? ` What was there before is ${aside}.` : ''} Start the server again.`);
      return 0;
    } catch (e) {
      console.error(e instanceof FolderProblem ? e.message : e);
      return 1;
    }
  }
  console.error(
    `Use: npm run doctor, or npm run restore -- SNAPSHOT. There are: ${snapshotNames(folder).join(', ') || 'no snapshots'}.`,
  );
  return 1;
}
