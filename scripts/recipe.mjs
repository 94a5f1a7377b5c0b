// The headless reader of recipes: npm run -s recipe -- FILE [--lang en|es] [--pretty] | --schema
import { runCli } from './run-cli.mjs';
await runCli('recipe-cli');
