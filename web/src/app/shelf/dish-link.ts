import { importDish, type Dish, type Imported, type Problem, refusal } from '@einkorn/core';
import { deflateSync, Inflate, strFromU8, strToU8 } from 'fflate';

/** A link longer than this is no dish; nor is one that unpacks to more than this, characters. */
const mostLink = 20_000;
const mostDish = 200_000;

/** The page that reads a dish from the part of its address after the #, which no server ever sees. */
export const sharedPath = 'shared';

/** A dish as the part of an address after the #: its JSON, deflated, in base64 for addresses (RFC 4648, section 5). */
export const packed = (dish: Dish): string => {
  const bytes = deflateSync(strToU8(JSON.stringify(dish)), { level: 9 });
  return btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');
};

/** The dish in such a part, with what had to be left out. Throws Problem `link-broken`, or what is wrong with the dish. */
export function unpacked(part: string): Imported {
  const broken = (): Problem => refusal('link-broken');
  if (part.length === 0 || part.length > mostLink) throw broken();
  let json: unknown;
  try {
    const bytes = Uint8Array.from(atob(part.replaceAll('-', '+').replaceAll('_', '/')), (c) => c.charCodeAt(0));
    json = JSON.parse(strFromU8(inflated(bytes)));
  } catch {
    throw broken();
  }
  return importDish(json);
}

/** Unpacks piece by piece, and no further than a dish can be: a small link may hold a great deal of nothing. */
function inflated(bytes: Uint8Array): Uint8Array {
  const parts: Uint8Array[] = [];
  let size = 0;
  const inflate = new Inflate((part) => {
    size += part.length;
    if (size > mostDish) throw new Error('too much');
    parts.push(part);
  });
  const step = 512;
  for (let at = 0; at < bytes.length; at += step)
    inflate.push(bytes.subarray(at, at + step), at + step >= bytes.length);
  const out = new Uint8Array(size);
  let at = 0;
  for (const part of parts) {
    out.set(part, at);
    at += part.length;
  }
  return out;
}
