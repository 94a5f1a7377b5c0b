/** Lower case, without accents: cooks type "jalapeño", "jalapeno" and "Jalapeño". */
export const fold = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFKD')
    // The dotless i of Turkish has no accent to lose.
    .replaceAll('ı', 'i')
    .replace(/\p{M}+/gu, '');

/** "Till" and "'til" written out; "til" alone is a seed. */
export const writtenOut = (text: string): string =>
  text.replace(/(?<!\p{L})(?:['’]til|['’]?till)(?!\p{L})/giu, 'until');

const vulgar: Readonly<Record<string, string>> = {
  ...{ '½': '1/2', '¼': '1/4', '¾': '3/4', '⅓': '1/3', '⅔': '2/3', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8' },
};

const isRange = (from: number, to: number): boolean =>
  from >= 4 && to > from && to <= from + 4 && to !== 8 && to !== 16;

/**
 * A line made plain for reading: no bullet, no markup, fractions as 1/2, one kind of dash and quote, folded. "T" is the
 * tablespoon and "t" the teaspoon only as long as capitals are seen, so they are written out here.
 */
export function plainLine(line: string): string {
  const written = line
    .replace(/^\s*(?:[-*•·▢□☐◦–—]|\[\s?[xX]?\])\s+/u, '')
    .replace(/\*\*|__|`/g, '')
    .replace(/\s*([½¼¾⅓⅔⅛⅜⅝⅞])/gu, (_, c: string) => ` ${vulgar[c]}`)
    // "1,5 l" is one and a half; "1,000 g" is a thousand.
    .replace(/(\d),(\d{1,2})(?!\d)/g, '$1.$2')
    .replaceAll('⁄', '/')
    .replace(/[–—]/g, '-')
    .replace(/[’‘]/g, "'")
    .replace(/[“”″]/g, '"')
    .replace(/(\d)\s*"(?=\s|$|,)/g, '$1 inch')
    .replace(/\b(?:pwd|pwdr|powdr|pdr)\b/gi, 'powder')
    // "85/15 ground beef": lean and fat, no amount.
    .replace(/\b([5-9]\d)\/(\d{1,2})\b/g, (share, lean, fat) => (Number(lean) + Number(fat) === 100 ? '' : share))
    // "10/12 prawns" are ten to twelve; "5/8 cup" is a fraction.
    .replace(/^(\d{1,2})\/(\d{1,2})(?= )/, (share, a, b) => (isRange(Number(a), Number(b)) ? `${a}-${b}` : share))
    // Ginger and garlic, ground as one.
    .replace(/\bg\s?[&+/]\s?g(?= paste)/i, 'gg')
    .replace(/(?<=\p{L}) n (?=\p{L})/gu, ' and ')
    .replace(/^(\p{L}[^\d,]*\p{L}) (handful|bunch)$/u, 'a $2 of $1')
    .replace(/(\d)\s*T\b\.?/g, '$1 tbsp')
    .replace(/(\d)\s*t\b\.?/g, '$1 tsp');
  return fold(writtenOut(written)).replace(/\s+/g, ' ').trim();
}

/** A plain line without what stands in its brackets. */
export const withoutBrackets = (plain: string): string =>
  plain
    .replace(/[([][^)\]]*[)\]]/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/\s,/g, ',')
    .trim();

/** Words and numbers of a text; hyphens part words, so that "low-sodium" is two. */
export const wordsOf = (text: string): string[] => text.match(/[\p{L}]+|\d+(?:[.,]\d+|\/\d+)?/gu) ?? [];

/**
 * What the singular of a word may be, the word itself first: English and Spanish plurals are regular enough for foods, and a
 * wrong guess names nothing.
 */
export function singulars(word: string): string[] {
  const out = [word];
  if (word.length < 4) return out;
  if (word.endsWith('ies')) out.push(`${word.slice(0, -3)}y`);
  if (word.endsWith('ves')) out.push(`${word.slice(0, -3)}f`, `${word.slice(0, -3)}fe`);
  if (word.endsWith('ces')) out.push(`${word.slice(0, -3)}z`);
  if (word.endsWith('es')) out.push(word.slice(0, -2));
  if (word.endsWith('s') && !word.endsWith('ss')) out.push(word.slice(0, -1));
  return out;
}
