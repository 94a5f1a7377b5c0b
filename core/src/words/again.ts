import { en } from './en';

/** Where refusals stand in a catalogue. */
export type RefusalSection = (typeof sections)[number];
/** The text of a refusal in another catalogue. */
export type RefusalText = (section: RefusalSection, code: string) => string;
const sections = ['problem', 'problem-field', 'problem-word'] as const;

const placeholder = /\{\{\s*(\w+)\s*\}\}/g;
const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

interface Template {
  section: RefusalSection;
  code: string;
  form: RegExp;
  literals: number;
}

/** The English templates, those with the most words of their own first: of two that fit the closer one is meant. */
let known: readonly Template[] | null = null;
const templates = (): readonly Template[] =>
  (known ??= sections
    .flatMap((section) =>
      Object.entries(en[section]).map(([code, text]: [string, string]): Template => {
        const parts = text.split(placeholder);
        const source = parts.map((part, i) => (i % 2 === 0 ? escaped(part) : `(?<${part}>.*?)`)).join('');
        const literals = parts.reduce((n, part, i) => n + (i % 2 === 0 ? part.length : 0), 0);
        return { section, code, form: new RegExp(`^${source}$`, 's'), literals };
      }),
    )
    .sort((a, b) => b.literals - a.literals));

/** A refusal with the first of its fields: "The dish cannot be read. serves: Whole people only." */
const withField = /^(.*?[.!?]) ([\w.-]+): (.+)$/s;

/**
 * A refusal of the core or the server, said again in another catalogue: the English sentence is the key of its translation,
 * so that it needs no code on its way. What is in no catalogue stays as it is.
 */
export function saidAgain(message: string, text: RefusalText): string {
  for (const { section, code, form } of templates()) {
    const found = form.exec(message);
    if (!found) continue;
    return text(section, code).replace(placeholder, (_, name: string) => saidAgain(found.groups?.[name] ?? '', text));
  }
  const [, first, path, second] = withField.exec(message) ?? [];
  return first && second ? `${saidAgain(first, text)} ${path}: ${saidAgain(second, text)}` : message;
}
