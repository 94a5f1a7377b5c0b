import { parentPort, workerData } from 'node:worker_threads';
import { runSimulatedDevices } from '@einkorn/devices';

/* The thread in which the devices of the house run: a fault in them ends this thread and not the server. */
const stop = runSimulatedDevices((workerData as { baseUrl: string }).baseUrl);
parentPort!.once('message', () => {
  stop();
  parentPort!.close();
});
