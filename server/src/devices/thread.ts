import { Worker } from 'node:worker_threads';
import type { Logger } from 'pino';

/** The devices hold a few pots; a thread without limits takes what a machine has. */
const resourceLimits = { maxYoungGenerationSizeMb: 6, maxOldGenerationSizeMb: 96 };

/** A thread that ended by a fault is started again after so long, twice as long each time, s. */
const firstPauseS = 1;
const longestPauseS = 60;

/**
 * Runs the devices in a thread of their own, and again when it ends by a fault: the server goes on and says so in its log.
 * Returns how to stop them.
 *
 * @param file the built worker
 * @param baseUrl the server that they speak to
 */
export function startDevices(
  file: string | URL,
  { baseUrl, log, pauseS = firstPauseS }: { baseUrl: string; log: Logger; pauseS?: number },
): () => void {
  let stopped = false;
  let worker: Worker | null = null;
  let timer: NodeJS.Timeout | null = null;
  let waitS = pauseS;
  const start = (): void => {
    worker = new Worker(file, { workerData: { baseUrl }, resourceLimits });
    worker.on('error', (err) => log.error({ err }, 'The devices had a fault'));
    worker.on('exit', () => {
      if (stopped) return;
      log.warn({ againInS: waitS }, 'The devices stopped and are started again');
      timer = setTimeout(start, waitS * 1000);
      waitS = Math.min(longestPauseS, 2 * waitS);
    });
  };
  start();
  return () => {
    stopped = true;
    if (timer) clearTimeout(timer);
    worker?.postMessage('stop');
  };
}
