import {
  englishWords,
  evaluate,
  eventKinds,
  schedule,
  foodIds,
  kitchenSchema,
  learn,
  plan,
  potIds,
  readDish,
  rescue,
  symptoms,
  type Plan,
  type Symptom,
} from '@einkorn/core';
import { demoDishes } from '../../server/src/demo/dishes';
import screens from '../src/app/i18n/en.json';
import { english as en } from '../src/app/i18n/english';

/** Every word that the core can say must stand in the catalogue, or a cook reads a key. */
const has = (key: string): boolean => {
  let at: unknown = en;
  for (const part of key.split('.'))
    at = typeof at === 'object' && at !== null ? (at as Record<string, unknown>)[part] : undefined;
  return typeof at === 'string';
};

const keysOf = (p: Plan): string[] => [
  ...p.stack.map((l) => `stack-note.${l.note ?? ''}`),
  ...p.warnings.map((w) => `warning.${w.code}`),
  ...p.fry.flatMap((f) => [
    `until.${f.until}`,
    ...(f.takeOutWhy ? [`fry.why-${f.takeOutWhy}`] : []),
    ...(f.trouble ? [`fry.trouble-${f.trouble}`] : []),
  ]),
  ...p.stack.map((l) => `stack-place.${l.place}`),
  ...p.heldBack.map((h) => `held.${h.why}`),
  ...p.program.advice.flatMap((a) => [`release.${a.code}`, `release.${a.release}`]),
  ...(p.program.program ? [`program.${p.program.program.split('-')[0]}`] : []),
  ...p.finish.map((f) => `finish-step.${f.code}`),
  ...p.steps.flatMap((s) => ['title', 'how', 'next'].map((x) => `step.${s.text}.${x}`)),
  ...p.steps.flatMap((s) => (s.caution ? [`caution.${s.caution}`] : [])),
  ...p.timeline.flatMap((s) => [`stage.${s.stage}`, `stage-name.${s.stage}`]),
  ...p.liquid.ledger.flatMap((r) => [
    r.item.startsWith('from:') ? 'ledger.from' : `ledger.${r.item}`,
    `rule.${r.reason.rule}`,
    ...r.reason.terms.map((t) => `term.${t.label}`),
  ]),
  ...[p.decided.holdMin, p.decided.naturalMin, p.decided.saltG].flatMap((r) => [
    `rule.${r.rule}`,
    ...r.terms.map((t) => `term.${t.label}`),
  ]),
  ...p.scorch.reasons.flatMap((r) => [`scorch-reason.${r.code}`, ...(r.remedy ? [`remedy.${r.remedy}`] : [])]),
  ...p.meats.map((m) => `meat.${m.texture}`),
  ...p.plants.map((x) => `plant.${x.verdict}`),
  `band.${p.grain?.band ?? p.pasta?.band ?? 'firm'}`,
  `family.${p.family}`,
];

test('no words stand both in the core and in the screens', () => {
  const twice = Object.entries(englishWords).flatMap(([section, words]) =>
    Object.keys(words).filter((k) => k in ((screens as Record<string, object>)[section] ?? {})),
  );
  expect(twice).toEqual([]);
});

// A unit in a sentence would stay metric in a kitchen that measures otherwise. Watts, kilopascals and litres of a pot are as on its label; a refusal
// speaks of the document.
test('a figure with a unit of the kitchen stands with its measure: {{ c:temperature }}', () => {
  const bare = (at: unknown, path: string): string[] =>
    typeof at === 'string'
      ? /\}\} ?(?:°C|mm|cm|m|g|kg)\b/.test(at)
        ? [path]
        : []
      : Object.entries(at as object).flatMap(([k, v]) => bare(v, `${path}.${k}`));
  expect(bare(en, '').filter((path) => !path.startsWith('.problem'))).toEqual([]);
});

test('foods and pots have names', () => {
  expect(foodIds.filter((f) => !has(`food.${f}`))).toEqual([]);
  expect(potIds.filter((p) => !(p in en['pot-name']))).toEqual([]);
});

test('everything that a log can teach has a name and words for both sides', () => {
  const names = ['heat', 'loss', 'leak', 'vent', 'set', 'metal', 'purge', 'sense', 'shift', 'speed'];
  names.push(
    ...Object.keys(learn({ kitchen: kitchenSchema.parse({}), cooks: [] }).cook).map((n) => n.replace(':', '-')),
  );
  const keys = names.flatMap((n) => [`learned.name.${n}`, `learned.${n}-more`, `learned.${n}-less`]);
  expect(keys.filter((k) => !has(k))).toEqual([]);
});
test('everything said about the dishes of the hut, in three pots, well and badly cooked, is in the catalogue', () => {
  const missing = new Set<string>();
  for (const doc of Object.values(demoDishes)) {
    const dish = readDish(doc);
    for (const potId of ['electric-5.7', 'whistle-5', 'program-5']) {
      const kitchen = kitchenSchema.parse({ potId, altitudeM: 1180 });
      const bad = {
        ...dish,
        asCooked: { liquidMl: 60, pressure: 'high' as const, holdMin: 0, release: { kind: 'quick' as const } },
      };
      for (const p of [plan(dish, kitchen), evaluate(bad, kitchen)]) {
        const fills = schedule(p, 0, 0).waits.flatMap((w) => w.fill.map((f) => `filler.${f.code}`));
        for (const k of [...keysOf(p), ...fills]) if (!has(k)) missing.add(k);
      }
    }
  }
  expect([...missing].sort()).toEqual([]);
});

test('everything that a tap can tell has a word in the log, and every outlook one at the stove', () => {
  const advices = [
    'hold-less',
    'hold-more',
    'hold-less-again',
    'hold-more-again',
    'open-now',
    'no-harm',
    'meat-needs-more',
  ];
  expect(advices.filter((k) => !has(`outlook.${k}`))).toEqual([]);
  expect(['dry', 'moist', 'saucy', 'soupy'].filter((k) => !has(`sauce-word.${k}`))).toEqual([]);
  expect(eventKinds.filter((k) => !has(`event.${k}`))).toEqual([]);
});

test('a rescue that goes into the cook has the words of its steps', () => {
  expect(['rescue', 'rescue-restart', 'broken-off'].filter((k) => !has(`step.${k}.title`))).toEqual([]);
});

test('every move of every rescue, and what never to do, is in the catalogue', () => {
  const missing = new Set<string>();
  const kitchen = kitchenSchema.parse({ altitudeM: 1180 });
  const need = (key: string): void => {
    if (!has(key)) missing.add(key);
  };
  for (const doc of Object.values(demoDishes)) {
    const dish = readDish(doc);
    const p = plan(dish, kitchen);
    for (const s of Object.keys(symptoms) as Symptom[])
      for (const [minutes, coreC, waterLeft, extraMl, saltPercent, food] of [
        [2, 40, true, 30, 0.9, 'milk'],
        [60, 68, false, 600, 2.5, 'carrot'],
        [30, 60, false, 200, 1.5, 'chicken-breast'],
        [30, 60, false, 200, 1.5, 'rice-long'],
      ] as const) {
        const ingredient = p.meats[0]?.ingredient;
        if (s === 'meat-under' && !ingredient) continue;
        const answers = {
          minutes,
          coreC,
          waterLeft,
          extraMl,
          saltPercent,
          food,
          ...(ingredient ? { ingredient } : {}),
        };
        const m = rescue(s, { dish, kitchen, plan: p }, answers);
        need(`symptom.${s}`);
        const ofMinutes = s === 'release-forgotten' ? 'minutes-over' : 'minutes-lid';
        symptoms[s].asks.forEach((a) => need(`ask.${a === 'minutes' ? ofMinutes : a}`));
        m.steps.forEach((x) => need(`move.${x.code}`));
        m.never.forEach((x) => need(`never.${x}`));
      }
  }
  expect([...missing].sort()).toEqual([]);
});

test('a text that counts has a form for each number', () => {
  const loose: string[] = [];
  const walk = (at: unknown, path: string): void => {
    if (typeof at === 'object' && at !== null) for (const [k, v] of Object.entries(at)) walk(v, `${path}.${k}`);
    else if (/\{\{ n \}\} [a-z]+(?:s|people)\b/.test(String(at)) && !/\.(?:one|other)$/.test(path)) loose.push(path);
  };
  walk(screens, '');
  expect(loose).toEqual([]);
  for (const forms of Object.values(screens.count)) expect(Object.keys(forms)).toEqual(['one', 'other']);
});
