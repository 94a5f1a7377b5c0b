import { logCsv, type LogFile } from '@einkorn/core';
import { saveFile } from '../ui/save-file';

/** The log as a table, one row a cook. */
export const saveTable = ({ cooks }: LogFile): void => saveFile('einkorn log', 'csv', logCsv(cooks));
/** Every cook with its dish, its plan and its taps, and the kitchen. */
export const saveAll = (log: LogFile): void => saveFile('einkorn log', 'json', JSON.stringify(log));
