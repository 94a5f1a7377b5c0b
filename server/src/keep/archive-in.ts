import {
  importLog,
  logFormat,
  Problem,
  readArchiveManifest,
  readKitchen,
  refusal,
  says,
  type Kitchen,
} from '@einkorn/core';
import { Unzip, UnzipInflate } from 'fflate';
import { bring, type BringReport } from '../store/bring';
import type { Store } from '../store/connect';
import { beginKitchen, getKitchen, saveKitchen } from '../store/kitchen';

/** What came of an archive. */
export interface ArchiveReport extends BringReport {
  /** `taken` where this kitchen had cooked nothing yet; else it stayed, and got the pots and foods that it had not */
  kitchen: 'taken' | 'kept' | 'missing';
}

/** One document is never as long as this; what is, is no archive of ours, bytes. */
const longestLine = 8_000_000;
/** Documents that are written at once. */
const batch = 12;
/** More than so many documents out of one piece of a zip were packed to burst. */
const mostWaiting = 20_000;

interface Line {
  file: string;
  nth: number;
  text: string;
}

/**
 * Brings an archive in, as it arrives: what is there already stays, what cannot be read stays out with its sentence.
 *
 * @throws Problem `archive-invalid` where it is none, `archive-newer` where it is of a later version; nothing was written then
 */
export async function readArchive(store: Store, arriving: AsyncIterable<Uint8Array>): Promise<ArchiveReport> {
  const report: ArchiveReport = { added: 0, already: 0, newDishes: 0, kitchen: 'missing', leftOut: [] };
  const files = new Files();
  let known = false;
  const take = async (all: boolean): Promise<void> => {
    if (!known) {
      const first = files.ready[0];
      if (!first && !all) return;
      if (first?.file !== 'einkorn.json') throw refusal('archive-invalid');
      readArchiveManifest(first.text);
      files.ready.shift();
      known = true;
    }
    while (files.ready.length >= (all ? 1 : batch)) await keep(store, files.next(), report);
  };
  for await (const chunk of arriving) {
    files.push(chunk);
    await take(false);
  }
  const cut = files.end();
  await take(true);
  if (cut !== null) report.leftOut.push({ at: cut, message: says('archive-cut') });
  return report;
}

/** The documents of an archive, line by line, as its bytes come. */
class Files {
  readonly ready: Line[] = [];
  private open: string | null = null;
  private readonly unzip = new Unzip((file) => {
    const decoder = new TextDecoder();
    let rest = '';
    let nth = 0;
    const line = (text: string): void => {
      if (text.trim() !== '') this.ready.push({ file: file.name, nth, text });
      nth += 1;
    };
    this.open = file.name;
    file.ondata = (error, chunk, final) => {
      if (error) throw refusal('archive-invalid');
      rest += decoder.decode(chunk, { stream: !final });
      if (rest.length > longestLine) throw refusal('archive-invalid');
      const whole = rest.split('\n');
      rest = whole.pop()!;
      whole.forEach(line);
      if (this.ready.length > mostWaiting) throw refusal('archive-invalid');
      if (!final) return;
      line(rest);
      this.open = null;
    };
    file.start();
  });

  constructor() {
    this.unzip.register(UnzipInflate);
  }

  push(chunk: Uint8Array, last = false): void {
    try {
      this.unzip.push(chunk, last);
    } catch {
      throw refusal('archive-invalid');
    }
  }
  /** @returns the file that was not read to its end, if there is one */
  end(): string | null {
    const cut = this.open;
    if (cut === null) this.push(new Uint8Array(0), true);
    return cut;
  }
  /** Lines of one file that stand together, a batch at most. */
  next(): Line[] {
    const { file } = this.ready[0]!;
    const other = this.ready.findIndex((l) => l.file !== file);
    return this.ready.splice(0, Math.min(batch, other < 0 ? this.ready.length : other));
  }
}

async function keep(store: Store, some: readonly Line[], report: ArchiveReport): Promise<void> {
  const { file } = some[0]!;
  if (file === 'kitchen.json') await keepKitchen(store, some[0]!.text, report);
  const name = file === 'dishes.jsonl' ? 'dishes' : file === 'cooks.jsonl' ? 'cooks' : null;
  if (name === null) return;
  const read = importLog({ format: logFormat, cooks: [], [name]: some.map((l) => parsed(l.text)) });
  const { added, already, newDishes, leftOut } = await bring(store, read);
  report.added += added;
  report.already += already;
  report.newDishes += newDishes;
  for (const { at, message } of leftOut)
    report.leftOut.push({ at: `${name}.${some[Number(at.split('.')[1])]!.nth}`, message });
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** Settings that cannot be read, or that would be too many with those that are here, stay out with their sentence. */
async function keepKitchen(store: Store, text: string, report: ArchiveReport): Promise<void> {
  const here = await getKitchen(store);
  const fresh = here.isNew === true || (await store.models.LogRows.count()) === 0;
  try {
    // What is no JSON is refused as the text that it is, not taken for nothing said.
    const brought = readKitchen(parsed(text) ?? text);
    await saveKitchen(store, readKitchen(fresh ? brought : withMissing(here, brought)));
    report.kitchen = fresh ? 'taken' : 'kept';
    // Whose settings these are has begun already.
    if (fresh) await beginKitchen(store);
  } catch (e) {
    if (!(e instanceof Problem)) throw e;
    report.leftOut.push({ at: 'kitchen.json', message: e.message });
  }
}

const withMissing = (here: Kitchen, brought: Kitchen): Kitchen => ({
  ...here,
  ...missingOf('ownPots', here, brought),
  ...missingOf('ownFoods', here, brought),
  ...missingOf('ownMeasures', here, brought),
});

function missingOf<K extends 'ownPots' | 'ownFoods' | 'ownMeasures'>(
  key: K,
  here: Kitchen,
  brought: Kitchen,
): Pick<Kitchen, K> | object {
  const own: { id: string }[] = here[key] ?? [];
  const taken = new Set(own.map((x) => x.id));
  const more = (brought[key] ?? []).filter((x) => !taken.has(x.id));
  return more.length === 0 ? {} : { [key]: [...own, ...more] };
}
