import { logCsv, logFile, type Cook, type Kitchen } from '@einkorn/core';
import { saveFile } from '../ui/save-file';

/** The log as a table, one row a cook. */
export const saveTable = (cooks: readonly Cook[]): void => saveFile('einkorn log', 'csv', logCsv(cooks));
/** Every cook with its dish, its plan and its taps, and the kitchen. */
export const saveAll = (kitchen: Kitchen, cooks: readonly Cook[]): void =>
  saveFile('einkorn log', 'json', JSON.stringify(logFile(kitchen, cooks)));
