import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { cookTimeline, type Cook } from '@einkorn/core';
import { Hut } from '../e2e/hut';
import { launch } from '../e2e/launch';

/*
 * npm run bench -- kills: kills the whole browser (SIGKILL) so many times at a random moment within a third of a second of the last
 * tap that the screen has shown, every third time with the server gone as well, opens it again and counts which taps are missing and how far the
 * clock is off. A measurement, not a test: it prints a table.
 */
const kills = Number(process.argv.find((a) => /^\d+$/.test(a)) ?? 50);
const profile = mkdtempSync(join(tmpdir(), 'einkorn-kills-'));
const hut = await Hut.open();
let seed = 20261125;
/** A repeatable number in [0, 1). */
const random = (): number => {
  seed = (seed * 1_664_525 + 1_013_904_223) % 4_294_967_296;
  return seed / 4_294_967_296;
};
const pause = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));
const open = () => chromium.launchPersistentContext(profile, launch);

// In a whistle cooker every whistle that is tapped is counted on the screen.
await fetch(`${hut.url}/api/kitchen`, {
  method: 'PUT',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify({ potId: 'whistle-5', altitudeM: 1180 }),
});
let context = await open();
let page = context.pages()[0] ?? (await context.newPage());
await page.goto(`${hut.url}/bench/plain-long-grain/water`);
await page.getByRole('button', { name: 'Cook this now' }).click();
await page.locator('.main h1').waitFor();
await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
await page.waitForTimeout(3000);
const url = page.url();
const id = url.split('/').at(-1)!;
const stored = async (): Promise<Cook> => (await (await fetch(`${hut.url}/api/cooks/${id}`)).json()) as Cook;
const whistles = (c: Cook): number => c.events.filter((e) => e.kind === 'whistle').length;

let tapped = 0;
let lost = 0;
let doubled = 0;
const offS: number[] = [];
const tickOffS: number[] = [];
const openedMs: number[] = [];
const instructionMs: number[] = [];
for (let i = 0; i < kills; i++) {
  const away = i % 3 === 2;
  if (away) await hut.stop();
  const taps = 1 + Math.floor(random() * 4);
  for (let k = 0; k < taps; k++) {
    await page.keyboard.press('w');
    await pause(random() * 60);
  }
  tapped += taps;
  await page.locator('[data-tap="whistle"]', { hasText: new RegExp(`Whistle ${tapped} `) }).waitFor();
  await pause(random() * 333);
  // Asked of the system itself: the browser is not told and has no time to say goodbye.
  try {
    execFileSync('pkill', ['-9', '-f', profile]);
  } catch {
    // It was gone already.
  }
  await context.close().catch(() => undefined);
  if (away) await hut.start();
  const began = performance.now();
  context = await open();
  page = context.pages()[0] ?? (await context.newPage());
  await page.goto(url);
  await page.locator('.main h1').waitFor();
  openedMs.push(performance.now() - began);
  for (let wait = 0; wait < 40 && whistles(await stored()) < tapped; wait++) await pause(250);
  const cook = await stored();
  const have = whistles(cook);
  if (have < tapped) lost += tapped - have;
  if (have > tapped) doubled += have - tapped;
  tapped = have;
  // The clock on the screen against the clock that the stored events give: as it stands, and when it next ticks. The first
  // may be read while the page is still drawing and a tick is late, the second is the clock itself.
  const off = (shown: string, at: number): number => {
    const r = cookTimeline(cook, at);
    const s = r.steps[r.current]!;
    const want = Math.abs(s.startMs + s.step.minutes * 60_000 - at) / 1000;
    const [m, sec] = shown.replace('+', '').split(':').map(Number) as [number, number];
    return Math.abs(m * 60 + sec - want);
  };
  const reading = await page.evaluate(async () => {
    const text = (): string => document.querySelector('.clock .mono')!.textContent;
    const first = { shown: text(), at: Date.now() };
    while (text() === first.shown && Date.now() - first.at < 5000)
      await new Promise((next) => requestAnimationFrame(next));
    return { first, ticked: { shown: text(), at: Date.now() } };
  });
  offS.push(off(reading.first.shown, reading.first.at));
  tickOffS.push(off(reading.ticked.shown, reading.ticked.at));
  if (i % 5 === 4) {
    const title = (await page.locator('.main h1').textContent()) ?? '';
    instructionMs.push(
      await page.evaluate(async (before) => {
        const from = performance.now();
        document.querySelector<HTMLButtonElement>('[data-tap="done"]')!.click();
        while (document.querySelector('.main h1')?.textContent === before && performance.now() - from < 3000)
          await new Promise((next) => requestAnimationFrame(next));
        return performance.now() - from;
      }, title),
    );
    await page.keyboard.press('Control+z');
  }
}
await context.close().catch(() => undefined);
await hut.close();
rmSync(profile, { recursive: true, force: true });
const sorted = (xs: number[]): number[] => [...xs].sort((a, b) => a - b);
const p = (xs: number[], q: number): string =>
  (sorted(xs)[Math.floor(q * (xs.length - 1))] ?? NaN).toFixed(q === 1 ? 2 : 2);
console.log('| measure | value |');
console.log('|---|---|');
console.log(`| kills of the browser, every third with the server away | ${kills} |`);
console.log(`| taps made in all | ${tapped} |`);
console.log(`| taps lost / doubled | ${lost} / ${doubled} |`);
console.log(`| clock off as found after reopening, s: median, worst | ${p(offS, 0.5)}, ${p(offS, 1)} |`);
console.log(`| clock off at its next tick, s: median, worst | ${p(tickOffS, 0.5)}, ${p(tickOffS, 1)} |`);
console.log(
  `| from the click to the new instruction, ms: median, worst | ${p(instructionMs, 0.5)}, ${p(instructionMs, 1)} |`,
);
console.log(`| browser started and stove readable, ms: median | ${p(openedMs, 0.5)} |`);
process.exit(0);
