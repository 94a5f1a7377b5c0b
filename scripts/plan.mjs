// The headless planner: npm run -s plan -- DISH.json [--mode solve|evaluate] [--pot ID] [--altitude M] [--texture T] [--learned FILE] [--pretty] [--schema dish|plan]
import { runCli } from './run-cli.mjs';
await runCli('cli');
