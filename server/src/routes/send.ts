import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Response } from 'express';

/** Sends what is long as it is made, as fast as it is taken. */
export const sendAll = (res: Response, parts: AsyncIterable<string | Uint8Array>): Promise<void> =>
  pipeline(Readable.from(parts), res);
