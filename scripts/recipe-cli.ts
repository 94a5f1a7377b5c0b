import { readRecipe, readingSchema, type Language } from '@einkorn/core';
import * as z from 'zod';
import { bad, failed, readText } from './cli-io';

const usage = 'recipe -- FILE [--lang en|es] [--pretty] | --schema';

function language(value: string | undefined): Language {
  if (value === 'en' || value === 'es') return value;
  throw bad('--lang', '--lang takes one of: en, es.');
}

/** The command: reads a recipe and prints what was understood as one JSON object; returns the exit code. */
export function main(argv: string[]): number {
  try {
    let file: string | undefined;
    let lang: Language | undefined;
    let pretty = false;
    let schema = false;
    for (let i = 0; i < argv.length; i++) {
      const a = argv[i]!;
      if (a === '--pretty') pretty = true;
      else if (a === '--schema') schema = true;
      else if (a === '--lang') lang = language(argv[++i]);
      else if (a.startsWith('--'))
        throw bad(a.slice(0, 40), `I do not know the option ${a.slice(0, 40)}. Use: ${usage}`);
      else if (file !== undefined) throw bad('FILE', `One recipe at a time. Use: ${usage}`);
      else file = a;
    }
    if (!schema && file === undefined) throw bad('FILE', `Name a recipe file. Use: ${usage}`);
    const answer = schema ? z.toJSONSchema(readingSchema) : readRecipe(readText(file!, 'FILE'), lang);
    process.stdout.write(`${JSON.stringify(answer, null, pretty ? 2 : 0)}\n`);
    return 0;
  } catch (e) {
    return failed(e, 'Something went wrong while reading. Please report this recipe.');
  }
}
