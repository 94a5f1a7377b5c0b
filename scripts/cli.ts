import * as z from 'zod';
import { card, evaluate, planInFull, readDish, readKitchen, dishSchema, planSchema, type Texture } from '@einkorn/core';
import { bad, failed, readJson } from './cli-io';

const usage =
  'plan -- DISH.json [--mode solve|evaluate] [--pot ID] [--altitude M] [--texture firm|fluffy|soft] [--learned LEARNED.json] [--pretty|--text] | --schema dish|plan';

interface Args {
  file?: string;
  mode: 'solve' | 'evaluate';
  pot?: string;
  altitude?: number;
  /** a file with what a log taught */
  learned?: string;
  texture?: Texture;
  pretty: boolean;
  /** the plan as a cook would write it on a card, instead of JSON */
  text: boolean;
  schema?: 'dish' | 'plan';
}

function oneOf<const T extends string>(name: string, value: string | undefined, allowed: readonly T[]): T {
  const hit = allowed.find((a) => a === value);
  if (!hit) throw bad(name, `${name} takes one of: ${allowed.join(', ')}.`);
  return hit;
}

function readArgs(argv: string[]): Args {
  const out: Args = { mode: 'solve', pretty: false, text: false };
  for (let i = 0; i < argv.length; i++) {
    const a = argv[i]!;
    if (a === '--pretty') out.pretty = true;
    else if (a === '--text') out.text = true;
    else if (a === '--mode') out.mode = oneOf('--mode', argv[++i], ['solve', 'evaluate']);
    else if (a === '--texture') out.texture = oneOf('--texture', argv[++i], ['firm', 'fluffy', 'soft']);
    else if (a === '--schema') out.schema = oneOf('--schema', argv[++i], ['dish', 'plan']);
    else if (a === '--pot') out.pot = argv[++i] ?? '';
    else if (a === '--learned') out.learned = argv[++i] ?? '';
    else if (a === '--altitude') {
      const text = argv[++i] ?? '';
      out.altitude = text.trim() === '' ? NaN : Number(text);
      if (!Number.isFinite(out.altitude))
        throw bad('--altitude', '--altitude takes metres above the sea, for example 1180.');
    } else if (a.startsWith('--'))
      throw bad(a.slice(0, 40), `I do not know the option ${a.slice(0, 40)}. Use: ${usage}`);
    else if (out.file !== undefined) throw bad('DISH.json', `One dish at a time. Use: ${usage}`);
    else out.file = a;
  }
  return out;
}

/** The command: prints one JSON object, returns the exit code. Bad input: one error object on stderr, exit 2. */
export function main(argv: string[]): number {
  try {
    const args = readArgs(argv);
    const write = (x: unknown): void => void process.stdout.write(`${JSON.stringify(x, null, args.pretty ? 2 : 0)}\n`);
    if (args.schema) {
      write(z.toJSONSchema(args.schema === 'dish' ? dishSchema : planSchema));
      return 0;
    }
    if (args.file === undefined) throw bad('DISH.json', `Name a dish file. Use: ${usage}`);
    const dish = readDish(readJson(args.file, 'DISH.json'));
    const kitchen = readKitchen({
      ...(args.pot === undefined ? {} : { potId: args.pot }),
      ...(args.altitude === undefined ? {} : { altitudeM: args.altitude }),
      ...(args.learned === undefined ? {} : { learned: readJson(args.learned, '--learned') }),
    });
    const options = args.texture ? { texture: args.texture } : {};
    const planned = args.mode === 'evaluate' ? evaluate(dish, kitchen, options) : planInFull(dish, kitchen, options);
    if (args.text) process.stdout.write(`${card(dish, planned)}\n`);
    else write(planned);
    return 0;
  } catch (e) {
    return failed(e, 'Something went wrong inside the planner. Please report this dish.');
  }
}
