// What a log teaches: npm run -s learn -- COOKS.json [--pretty] | --schema
import { runCli } from './run-cli.mjs';
await runCli('learn-cli');
