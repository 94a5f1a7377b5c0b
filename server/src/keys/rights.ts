/**
 * What a screen or a device may do: `cook` everything that a cook may, `look` read without writing, `device` send readings.
 * `home` is the machine that Einkorn runs on, which needs no key.
 */
export const keyRights = ['cook', 'look', 'device'] as const;
export type KeyRights = (typeof keyRights)[number];
export type Rights = KeyRights | 'home';

/** Works something out and writes nothing. */
const computes = /^\/api\/(?:plan|recipe)(?:\/|$)/;
/** Who else may come in, and the copies of everything: not for a screen that looks on. */
const ofTheHouse = /^\/api\/(?:keys|archive|snapshots|set-aside)(?:\/|$)/;
const ofDevices = /^\/api\/devices(?:\/|$)/;

/** May this be asked with these rights? `path` is that of the request, without its query. */
export function isAllowed(rights: Rights, method: string, path: string): boolean {
  if (rights === 'device') return ofDevices.test(path);
  if (rights !== 'look') return true;
  if (ofTheHouse.test(path)) return false;
  return method === 'GET' || method === 'HEAD' || computes.test(path);
}
