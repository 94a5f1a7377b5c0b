import type { Language } from './food-names';

/** What a line may say about how it was read: one sentence in each language; `{x}` is filled in. */
const notes = {
  'no-amount': {
    en: 'No amount is given: say how much.',
    es: 'Falta la cantidad: diga cuánto.',
  },
  'to-taste': {
    en: 'To taste: no amount is counted.',
    es: 'Al gusto: no se cuenta ninguna cantidad.',
  },
  'liquid-planned': {
    en: 'No amount is given: the plan works the liquid out.',
    es: 'Falta la cantidad: el plan calcula el líquido.',
  },
  'unknown-food': {
    en: 'I do not know the food "{words}". Choose one that comes near, or leave it out.',
    es: 'No conozco el alimento «{words}». Elija uno parecido o déjelo fuera.',
  },
  'stands-in': {
    en: 'Counted as {food}, which comes near it in water, salt and fat.',
    es: 'Contado como {food}, parecido en agua, sal y grasa.',
  },
  'which-kind': { en: 'Which kind is not said.', es: 'No se dice de qué clase.' },
  'two-foods': {
    en: 'Two foods share one amount: give each its own line.',
    es: 'Dos alimentos comparten una cantidad: dé una línea a cada uno.',
  },
  'each-or-all': {
    en: 'Is that the weight of one, or of all of them?',
    es: '¿Es el peso de uno o de todos?',
  },
  'second-amount': {
    en: 'Two amounts stand here: say which is meant.',
    es: 'Hay dos cantidades: diga cuál vale.',
  },
  'first-of-two': { en: 'Of the two named, {food} is counted.', es: 'De los dos nombrados se cuenta {food}.' },
  'size-unknown': {
    en: 'How much is in one {measure} is not said.',
    es: 'No se dice cuánto trae un {measure}.',
  },
  'usual-size': { en: 'Counted in the usual size.', es: 'Contado en el tamaño corriente.' },
  range: { en: 'A range: the middle is counted.', es: 'Un intervalo: se cuenta el medio.' },
  'already-cooked': {
    en: 'Cooked already: it goes in after opening, not under pressure.',
    es: 'Ya está cocido: se añade al abrir, no a presión.',
  },
  drained: {
    en: 'Its brine is poured off: six tenths of the tin are counted.',
    es: 'Se tira el líquido: se cuentan seis décimas de la lata.',
  },
} as const satisfies Record<string, Record<Language, string>>;

export type NoteId = keyof typeof notes;

/** The sentence of a note in a language. */
export const noteText = (id: NoteId, language: Language, words: Readonly<Record<string, string>> = {}): string =>
  notes[id][language].replace(/\{(\w+)\}/g, (_, key: string) => words[key] ?? '');
