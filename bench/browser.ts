import { chromium } from '@playwright/test';
import { Hut } from '../e2e/hut';
import { launch } from '../e2e/launch';

/*
 * npm run bench -- browser: in the real browser, from a keystroke in an amount to the new verdict on the screen (worker,
 * planner, change detection and painting included), over the demo dishes.
 */
const edits = 24;
const hut = await Hut.open();
const browser = await chromium.launch(launch);
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
const rows: { dish: string; p50: number; p90: number }[] = [];
for (const dish of [
  'plain-long-grain',
  'turkey-leek-lemon',
  'beef-beetroot-dill-pasta',
  'duck-okra-jambalaya',
  'venison-juniper-barley',
  'lamb-apricot-biryani',
]) {
  await page.goto(`${hut.url}/bench/${dish}/gather`);
  await page.locator('ek-verdicts').waitFor();
  const field = page.locator('[data-amount]').first();
  await field.waitFor();
  const times: number[] = [];
  for (let i = 0; i < edits; i++) {
    const grams = 250 + ((i * 37) % 120);
    times.push(
      await field.evaluate(async (el: HTMLInputElement, text) => {
        const shown = (): string => document.querySelector('.tab-result')!.closest('p-tablist')!.textContent;
        const before = shown();
        const from = performance.now();
        Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(el, text);
        el.dispatchEvent(new Event('input', { bubbles: true }));
        while (shown() === before && performance.now() - from < 2000)
          await new Promise((r) => requestAnimationFrame(r));
        return performance.now() - from;
      }, `${grams} g`),
    );
  }
  const sorted = times.filter((t) => t < 1990).sort((a, b) => a - b);
  rows.push({ dish, p50: sorted[Math.floor(sorted.length / 2)]!, p90: sorted[Math.floor(0.9 * (sorted.length - 1))]! });
}
await browser.close();
await hut.close();
const least = Math.min(...rows.map((r) => r.p50));
console.log('| keystroke to verdict, in Chromium | p50 ms | p90 ms | times the fastest |');
console.log('|---|---|---|---|');
for (const r of rows)
  console.log(`| ${r.dish} | ${r.p50.toFixed(0)} | ${r.p90.toFixed(0)} | ${(r.p50 / least).toFixed(1)} |`);
process.exit(0);
