import * as z from 'zod';
import { learn, learnedSchema, readLog } from '@einkorn/core';
import { bad, failed, largestLogBytes, readJson } from './cli-io';

const usage = 'learn -- COOKS.json [--pretty] | --schema';

/** The command: reads a log and prints what it taught as one JSON object; returns the exit code. */
export function main(argv: string[]): number {
  try {
    const options = argv.filter((a) => a.startsWith('--'));
    const files = argv.filter((a) => !a.startsWith('--'));
    const unknown = options.find((o) => !['--pretty', '--schema'].includes(o));
    if (unknown) throw bad(unknown.slice(0, 40), `I do not know the option ${unknown.slice(0, 40)}. Use: ${usage}`);
    const schema = options.includes('--schema');
    if (!schema && files.length !== 1)
      throw bad('COOKS.json', `Name one file, the log as it was exported. Use: ${usage}`);
    const answer = schema
      ? z.toJSONSchema(learnedSchema)
      : learn(readLog(readJson(files[0]!, 'COOKS.json', largestLogBytes)));
    process.stdout.write(`${JSON.stringify(answer, null, options.includes('--pretty') ? 2 : 0)}\n`);
    return 0;
  } catch (e) {
    return failed(e, 'Something went wrong while learning. Please report this log.');
  }
}
