import { Parser } from 'htmlparser2';

/** A saved page: its JSON-LD scripts, and its visible text with one line for each block. Nothing in it is run or fetched. */
export interface Page {
  linkedData: string[];
  text: string;
}

const blocks = new Set([
  'p',
  'li',
  'div',
  'br',
  'h1',
  'h2',
  'h3',
  'h4',
  'tr',
  'section',
  'article',
  'ul',
  'ol',
  'title',
]);
const silent = new Set(['script', 'style', 'noscript', 'template', 'nav', 'footer', 'svg', 'form', 'button', 'head']);

export function readPage(html: string): Page {
  const linkedData: string[] = [];
  let text = '';
  let quiet = 0;
  let script: string | null = null;
  const parser = new Parser({
    onopentag(name, attributes) {
      if (name === 'script' && /ld\+json/i.test(attributes['type'] ?? '')) script = '';
      if (silent.has(name)) quiet += 1;
      if (blocks.has(name)) text += '\n';
    },
    ontext(t) {
      if (script !== null) script += t;
      else if (quiet === 0) text += t.replace(/\s+/g, ' ');
    },
    onclosetag(name) {
      if (name === 'script' && script !== null) {
        linkedData.push(script);
        script = null;
      }
      if (silent.has(name)) quiet = Math.max(0, quiet - 1);
      if (blocks.has(name)) text += '\n';
    },
  });
  parser.end(html);
  return { linkedData, text: text.replace(/\n\s*\n+/g, '\n').trim() };
}

/** A text without its markup and entities. */
export const withoutMarkup = (html: string): string =>
  /[<&]/.test(html) ? readPage(html).text.replaceAll('\n', ' ') : html;
