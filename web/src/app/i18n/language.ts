import { kitchenSchema, type Kitchen } from '@einkorn/core';
import type { TranslocoService } from '@jsverse/transloco';
import { firstValueFrom } from 'rxjs';

/** The languages that have a catalogue; see docs/translating.md for one more. */
export type Language = Exclude<Kitchen['language'], 'auto'>;
export const languages = kitchenSchema.shape.language.unwrap().exclude(['auto']).options;

const isLanguage = (tag: string | undefined): tag is Language => languages.some((l) => l === tag);

/** The catalogue that a kitchen asks for: its own, else the first that the browser's cook reads, else English. */
export function languageOf({ language }: Pick<Kitchen, 'language'>, browser = navigator.languages): Language {
  if (language !== 'auto') return language;
  return browser.map((tag) => tag.split('-')[0]).find(isLanguage) ?? 'en';
}

/** Loads a catalogue, then says everything in it. Where it cannot be had the screen keeps the words that it has. */
export async function speak(transloco: TranslocoService, language: Language): Promise<void> {
  try {
    await firstValueFrom(transloco.load(language));
  } catch {
    return;
  }
  // Saying it all again is work: only in another language.
  if (transloco.getActiveLang() !== language) transloco.setActiveLang(language);
  document.documentElement.lang = language;
}
