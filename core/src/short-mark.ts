/** A short mark of a text: FNV-1a (published by its authors), twice 32 bits. Equal texts have equal marks. */
export function shortMark(text: string): string {
  let [a, b] = [0x811c9dc5, 0x01000193];
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    a = Math.imul(a ^ c, 0x01000193);
    b = Math.imul(b ^ c, 0x01000193) ^ (a >>> 7);
  }
  return [a, b].map((x) => (x >>> 0).toString(16).padStart(8, '0')).join('');
}
