import { networkInterfaces } from 'node:os';

/** Addresses of this machine in the house's network. */
export const ownAddresses = (): string[] =>
  Object.values(networkInterfaces())
    .flat()
    .flatMap((i) => (i && !i.internal && i.family === 'IPv4' ? [i.address] : []));

/** What a screen of the house opens, as the machine's addresses are now. */
export const houseUrls = (port: number): string[] => ownAddresses().map((address) => `https://${address}:${port}`);
