import { cookPot, HeatedPot } from '../../../src/pot/cook';
import { type PotRun } from '../../../src/pot/program';
import { pots } from '../../../src/pot/profile';
import { facts as loads } from '../loads';
import type { Fact } from './fact';

const electric = pots[0]!;
const whistle = pots.find((p) => p.id === 'whistle-5')!;
const run = (name: string, kind: 'quick' | 'natural', dtS = 0.5): PotRun =>
  cookPot(
    { pot: electric, altitudeM: 0 },
    loads[name]!.load,
    { pressure: 'high', holdMin: loads[name]!.holdMin, release: { kind } },
    dtS,
  );
const pinUpMin = (name: string) => (): number =>
  new HeatedPot({ pot: electric, altitudeM: 0 }, loads[name]!.load, 'high').pinUpS! / 60;
const releaseMin = (name: string, kind: 'quick' | 'natural') => (): number => {
  const r = run(name, kind);
  return (r.pinDownS! - r.releaseS) / 60;
};
const leftKpa = (name: string, min: number) => (): number => {
  const { history } = run(name, 'natural');
  return history.gaugeKpa[history.releaseAt + (min * 60) / history.dtS]!;
};
const steamG = (name: string, kind: 'quick' | 'natural') => (): number => {
  const { lost } = run(name, kind);
  return 1000 * (lost.purge + lost.leak + lost.quick + lost.open);
};
const whistleG = (name: string) => (): number => {
  const h = new HeatedPot({ pot: whistle, altitudeM: 0 }, loads[name]!.load, 'high');
  const [one, five] = [h.finish(0, { kind: 'natural' }), h.finish(h.holdForWhistles(5), { kind: 'natural' })];
  return (1000 * (five.lost.relief - one.lost.relief)) / (five.whistles - one.whistles);
};
const holdC = (): number => {
  const { history, countdownS } = cookPot({ pot: electric, altitudeM: 0 }, loads['smallRice']!.load, {
    pressure: 'high',
    holdMin: 20,
    release: { kind: 'quick' },
  });
  const held = history.tempC.slice(countdownS! + 120, history.releaseAt);
  return held.reduce((sum, c) => sum + c, 0) / held.length;
};

/** The pot alone, from the start states of helpers/loads.ts: minutes to the pin, of release, grams of steam. */
export const potFacts: Fact[] = [
  { id: 'F1', what: 'min to the pin: 185 g rice, 300 g cold broth', value: pinUpMin('smallRice'), window: [5, 8] },
  { id: 'F2', what: 'min to the pin: rice, 1.1 kg chicken', value: pinUpMin('chickenRice'), window: [8, 12] },
  { id: 'F3', what: 'min to the pin: hot meat, rice, stock', value: pinUpMin('hotMeatRice'), window: [2.5, 3.5] },
  { id: 'F4', what: 'min to the pin: pasta, chicken, vegetables', value: pinUpMin('pastaChicken'), window: [8, 12] },
  { id: 'F5', what: 'min to the pin: 3 L cold soup', value: pinUpMin('soup'), window: [20, 25] },
  { id: 'F6', what: 'min of natural release: small rice', value: releaseMin('smallRice', 'natural'), window: [10, 14] },
  { id: 'F7', what: 'kPa left after 10 min: small rice', value: leftKpa('smallRice', 10), window: [0.01, 15] },
  {
    id: 'F8',
    what: 'min of natural release: casserole',
    value: releaseMin('chickenRice', 'natural'),
    window: [10, 18],
  },
  { id: 'F9', what: 'kPa left after 12 min: casserole', value: leftKpa('chickenRice', 12), window: [0.01, 25] },
  {
    id: 'F10',
    what: 'min of natural release: 3 L soup',
    value: releaseMin('soup', 'natural'),
    window: [20, 30],
    miss: [30, 30.3],
  },
  { id: 'F11', what: 'min of quick release: small rice', value: releaseMin('smallRice', 'quick'), window: [0, 1] },
  { id: 'F12', what: 'min of quick release: 2.3 kg pasta', value: releaseMin('pastaChicken', 'quick'), window: [1, 3] },
  { id: 'F13a', what: 'g of steam lost: small rice, quick', value: steamG('smallRice', 'quick'), window: [20, 80] },
  { id: 'F13b', what: 'g of steam lost: pasta, quick', value: steamG('pastaChicken', 'quick'), window: [20, 80] },
  {
    id: 'F13c',
    what: 'g of steam lost: 3 L soup, quick',
    value: steamG('soup', 'quick'),
    window: [20, 80],
    miss: [80, 112],
  },
  {
    id: 'F13d',
    what: 'g of steam lost: small rice, natural',
    value: steamG('smallRice', 'natural'),
    window: [20, 80],
    miss: [8, 20],
  },
  { id: 'F14', what: '°C on the mean of a high hold', value: holdC, window: [115, 118] },
  { id: 'F15a', what: 'g of steam a whistle: casserole', value: whistleG('chickenRice'), window: [5, 15] },
  { id: 'F15b', what: 'g of steam a whistle: small rice', value: whistleG('smallRice'), window: [5, 15] },
];
