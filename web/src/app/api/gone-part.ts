/** How browsers say that a part of the page is not on the server any more: a newer build has taken its place. */
const gone = /dynamically imported module|importing a module script failed|loading chunk/i;
const marked = 'einkorn.gone-part';

export const isGonePart = (error: unknown): boolean => error instanceof Error && gone.test(error.message);

/**
 * A place whose part is gone is opened anew from the server, once: where that does not help, the error is no matter of builds.
 *
 * @param open goes to an address with a full load
 */
export function openAnew(
  error: unknown,
  url: string,
  session: Pick<Storage, 'getItem' | 'setItem'>,
  open: (url: string) => void,
): void {
  if (!isGonePart(error) || session.getItem(marked) === url) return;
  session.setItem(marked, url);
  open(url);
}
