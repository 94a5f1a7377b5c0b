import type { Fault } from '@einkorn/core';

/** An evening of the hut before it is cooked: what was on the stove, for how many, and what was odd about it. */
export interface Entry {
  dish: string;
  serves?: number;
  /** when it stood on the table, UTC */
  served: string;
  /** before the new ring of May */
  wornRing?: true;
  /** a blunder: the pin was seen so late, min */
  pinTappedLateMin?: number;
  /** a blunder: so much of the liquid was poured, share */
  poured?: number;
  fault?: Fault;
  note?: string;
}

/** Ten months of Cloudberry Hut, invented: sixty evenings, one new ring, two blunders, one fault. */
// prettier-ignore
export const diary: readonly Entry[] = [
  { dish: 'plain-long-grain', served: '2026-01-10T18:11:00Z', wornRing: true, note: 'First try in the new pot.' },
  { dish: 'turkey-leek-lemon', served: '2026-01-15T19:18:00Z', wornRing: true },
  { dish: 'einkorn-berries', served: '2026-01-20T18:25:00Z', wornRing: true },
  { dish: 'beef-beetroot-dill-pasta', served: '2026-01-26T19:32:00Z', wornRing: true },
  { dish: 'plain-long-grain', served: '2026-01-31T18:39:00Z', serves: 2, wornRing: true, note: 'Right for two.' },
  { dish: 'guinea-fowl-mushroom-risotto', served: '2026-02-04T19:46:00Z', wornRing: true },
  { dish: 'turkey-leek-lemon', served: '2026-02-10T18:53:00Z', serves: 8, wornRing: true },
  { dish: 'venison-juniper-barley', served: '2026-02-15T19:00:00Z', wornRing: true },
  { dish: 'plain-long-grain', served: '2026-02-20T18:07:00Z', wornRing: true },
  { dish: 'pork-fennel-bean-rigatoni', served: '2026-02-26T19:14:00Z', wornRing: true, note: 'The walkers came an hour early.' },
  { dish: 'duck-okra-jambalaya', served: '2026-03-03T18:21:00Z', wornRing: true },
  { dish: 'einkorn-berries', served: '2026-03-07T19:28:00Z', wornRing: true },
  { dish: 'chicken-rack-red-rice', served: '2026-03-13T18:35:00Z', wornRing: true },
  { dish: 'turkey-leek-lemon', served: '2026-03-18T19:42:00Z', wornRing: true },
  { dish: 'aubergine-lamb-sheets', served: '2026-03-23T18:49:00Z', wornRing: true },
  { dish: 'plain-long-grain', served: '2026-03-29T19:56:00Z', serves: 3, wornRing: true, note: 'Snowed in. Cooked for three.' },
  { dish: 'turkey-leek-lemon', served: '2026-04-03T18:03:00Z', wornRing: true },
  { dish: 'einkorn-berries', served: '2026-04-07T19:10:00Z', wornRing: true, note: 'Forgot to look at the pin.', pinTappedLateMin: 7 },
  { dish: 'beef-beetroot-dill-pasta', served: '2026-04-13T18:17:00Z', wornRing: true },
  { dish: 'plain-long-grain', served: '2026-04-18T19:24:00Z', serves: 8, wornRing: true },
  { dish: 'guinea-fowl-mushroom-risotto', served: '2026-04-23T18:31:00Z', wornRing: true },
  { dish: 'turkey-leek-lemon', served: '2026-04-29T19:38:00Z', wornRing: true, note: 'It hisses at the lid all the way up.' },
  { dish: 'venison-juniper-barley', served: '2026-05-04T18:45:00Z', wornRing: true },
  { dish: 'plain-long-grain', served: '2026-05-08T19:52:00Z', wornRing: true },
  { dish: 'pork-fennel-bean-rigatoni', served: '2026-05-14T18:59:00Z', wornRing: true },
  { dish: 'duck-okra-jambalaya', served: '2026-05-19T19:06:00Z', wornRing: true, note: 'Still hissing. A new ring is ordered.' },
  { dish: 'einkorn-berries', served: '2026-05-24T18:13:00Z', serves: 2, note: 'New ring in. Quiet again.' },
  { dish: 'chicken-rack-red-rice', served: '2026-05-30T19:20:00Z' },
  { dish: 'turkey-leek-lemon', served: '2026-06-04T18:27:00Z' },
  { dish: 'aubergine-lamb-sheets', served: '2026-06-08T19:34:00Z' },
  { dish: 'plain-long-grain', served: '2026-06-14T18:41:00Z' },
  { dish: 'turkey-leek-lemon', served: '2026-06-19T19:48:00Z' },
  { dish: 'einkorn-berries', served: '2026-06-24T18:55:00Z', serves: 8 },
  { dish: 'beef-beetroot-dill-pasta', served: '2026-06-30T19:02:00Z', fault: 'burn-cut-out', note: 'It cut out on the way up. Scraped the base, a splash of water, lid back.' },
  { dish: 'plain-long-grain', served: '2026-07-05T18:09:00Z' },
  { dish: 'guinea-fowl-mushroom-risotto', served: '2026-07-09T19:16:00Z' },
  { dish: 'turkey-leek-lemon', served: '2026-07-15T18:23:00Z' },
  { dish: 'venison-juniper-barley', served: '2026-07-20T19:30:00Z', serves: 2, note: 'A bit soft, and gone in ten minutes.' },
  { dish: 'plain-long-grain', served: '2026-07-25T18:37:00Z' },
  { dish: 'pork-fennel-bean-rigatoni', served: '2026-07-31T19:44:00Z' },
  { dish: 'duck-okra-jambalaya', served: '2026-08-05T18:51:00Z' },
  { dish: 'einkorn-berries', served: '2026-08-09T19:58:00Z', note: 'One jug too few, and none the worse for it.', poured: 0.72 },
  { dish: 'chicken-rack-red-rice', served: '2026-08-15T18:05:00Z' },
  { dish: 'turkey-leek-lemon', served: '2026-08-20T19:12:00Z' },
  { dish: 'aubergine-lamb-sheets', served: '2026-08-25T18:19:00Z' },
  { dish: 'plain-long-grain', served: '2026-08-31T19:26:00Z', serves: 8 },
  { dish: 'turkey-leek-lemon', served: '2026-09-05T18:33:00Z' },
  { dish: 'einkorn-berries', served: '2026-09-09T19:40:00Z' },
  { dish: 'beef-beetroot-dill-pasta', served: '2026-09-15T18:47:00Z', serves: 2, note: 'Beetroot everywhere.' },
  { dish: 'plain-long-grain', served: '2026-09-20T19:54:00Z' },
  { dish: 'guinea-fowl-mushroom-risotto', served: '2026-09-25T18:01:00Z' },
  { dish: 'turkey-leek-lemon', served: '2026-10-01T19:08:00Z' },
  { dish: 'plain-long-grain', served: '2026-10-03T18:34:00Z', note: 'First evening of autumn. Just right.' },
  { dish: 'turkey-leek-lemon', served: '2026-10-08T19:11:00Z', note: 'Chopping took for ever.' },
  { dish: 'einkorn-berries', served: '2026-10-11T18:02:00Z', note: 'Drier than the last time. Better so.' },
  { dish: 'plain-long-grain', served: '2026-10-17T18:41:00Z', serves: 8, note: 'Full hut.' },
  { dish: 'turkey-leek-lemon', served: '2026-10-24T19:03:00Z' },
  { dish: 'plain-long-grain', served: '2026-10-31T18:29:00Z' },
  { dish: 'einkorn-berries', served: '2026-11-07T18:07:00Z', note: 'Softer again.' },
  { dish: 'turkey-leek-lemon', served: '2026-11-14T19:03:00Z', note: 'Good. Once more on Sunday.' },
];
