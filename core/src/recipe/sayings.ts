import type { Family } from '../dish/schema';
import type { RecipeTimes } from './times';

const familiesEn: Record<Family, string> = {
  'plain-grain': 'plain grain',
  'coated-grain': 'grain turned in fat',
  'one-pot-grain': 'grain and meat in one pot',
  'layered-grain': 'grain on top of meat and sauce, not stirred',
  biryani: 'biryani',
  risotto: 'risotto',
  casserole: 'casserole',
  'one-pot-pasta': 'pasta in its sauce',
  'layered-pasta': 'pasta in layers',
  'noodle-soup': 'soup with noodles or grain',
  'rack-over-grain': 'meat on a rack over grain',
  'pot-in-pot': 'grain in a bowl inside the pot',
  porridge: 'porridge or pudding',
  'steamed-side': 'steamed vegetables',
};
const familiesEs: Record<Family, string> = {
  'plain-grain': 'grano solo',
  'coated-grain': 'grano rehogado',
  'one-pot-grain': 'grano y carne en una olla',
  'layered-grain': 'grano sobre carne y salsa, sin remover',
  biryani: 'biryani',
  risotto: 'risotto',
  casserole: 'guiso',
  'one-pot-pasta': 'pasta en su salsa',
  'layered-pasta': 'pasta en capas',
  'noodle-soup': 'sopa con fideos o grano',
  'rack-over-grain': 'carne en rejilla sobre grano',
  'pot-in-pot': 'grano en un cuenco dentro de la olla',
  porridge: 'gachas o arroz con leche',
  'steamed-side': 'verdura al vapor',
};

const listed = (parts: readonly (string | number | undefined)[]): string => parts.filter(Boolean).join(', ');

/** The sentences of a reading, in both languages. */
export const saying = {
  en: {
    families: familiesEn,
    family: (family: string, because: string) =>
      `Read as: ${family} (${because.replaceAll('-', ' ')}). You can change it.`,
    serves: (n: number) => `For how many is not said: ${n} by its amounts.`,
    tooMany: (most: number, all: number) => `Only the first ${most} of ${all} ingredient lines were read.`,
    left: (line: string, words: string) => `${line}: not understood: ${words}.`,
    howMuch: (line: string) => `How much is "${line}"?`,
    whichFood: (line: string) => `Which food is "${line}"?`,
    release: 'How is the pressure let off?',
    times: (t: RecipeTimes) =>
      `The recipe’s own clock: ${listed([t.prepMin && `${t.prepMin} min to prepare`, t.cookMin && `${t.cookMin} min to cook`, t.totalMin && `${t.totalMin} min in all`])}. Heating up and letting off are often not in it.`,
  },
  es: {
    families: familiesEs,
    family: (family: string, because: string) =>
      `Leído como: ${family} (${because.replaceAll('-', ' ')}). Se puede cambiar.`,
    serves: (n: number) => `No se dice para cuántos: ${n} según las cantidades.`,
    tooMany: (most: number, all: number) => `Solo se leyeron las primeras ${most} de ${all} líneas.`,
    left: (line: string, words: string) => `${line}: no entendido: ${words}.`,
    howMuch: (line: string) => `¿Cuánto es «${line}»?`,
    whichFood: (line: string) => `¿Qué alimento es «${line}»?`,
    release: '¿Cómo se suelta la presión?',
    times: (t: RecipeTimes) =>
      `El reloj de la receta: ${listed([t.prepMin && `${t.prepMin} min de preparación`, t.cookMin && `${t.cookMin} min de cocción`, t.totalMin && `${t.totalMin} min en total`])}. Calentar y despresurizar a menudo no cuentan.`,
  },
} as const;
