import { headAmount, type HeadAmount } from './amount';
import { numberSource } from '../text/number';

const thickHead = new RegExp(
  String.raw`^((?:${numberSource})(?:\s*(?:-|to)\s*${numberSource})?[\s-]*(?:mm|cm|in(?:ch(?:es)?)?|")(?![a-z]))[\s-]*(?:thick |wide |long )?(?!\s*(?:of|piece|knob|thumb|de)\b)\s*(.+)$`,
);

const tailAmount = new RegExp(String.raw`^(.*?\p{L}.*?)[\s:,-]+(?:x\s*)?(${numberSource}\s*[\p{L} .]*)$`, 'u');

/**
 * The amount of the line: at its head, after "juice of", in a later part ("roast chicken, 2 cups shredded"), or at its end
 * ("Chicken breast 500 g", "Arroz: 2 tazas"). A length at the head ("1 in thick pork chops") is no amount.
 */
export function amountOf(line: string): HeadAmount {
  // "Juice 1/2 lemon" is the juice of it.
  const bare = line
    .replace(/^(juice|zest) (?=\d|half\b|one\b|an? )/, '$1 of ')
    .replace(/^(zumo|jugo) (?=\d|medio|un )/, '$1 de ')
    // Of zest and juice the juice is what is counted.
    .replace(/\b(lemon|lime|orange)s?,? (?:zest(?:ed)?|rind) (?:and|&|\+) juiced?\b/, '$1 juice')
    .replace(/\b(lemon|lime|orange)s?,? juiced? (?:and|&|\+) zest(?:ed)?\b/, '$1 juice')
    .replace(/\b(lemon|lime|orange)s?,? (?:freshly )?(?:juiced|squeezed)\b/, '$1 juice')
    .replace(/\bnaranjas?,? exprimidas?\b/, 'zumo de naranja');
  const juice =
    /^(?:the |el |la )?(?:(?:zest|ralladura) (?:and|y|&|\+) )?(juice|zest|peel|rind|zumo|jugo|ralladura|piel|cascara)(?: (?:and|y|&|\+) (?:zest|ralladura))? (of|from|de) (.+)$/.exec(
      bare,
    );
  if (juice) {
    const of = headAmount(juice[3]!);
    return {
      ...of,
      rest: juice[2] === 'de' ? `${juice[1]} de ${of.rest}` : `${of.rest.replace(/s?(?:,.*)?$/, '')} ${juice[1]}`,
    };
  }
  const thick = thickHead.exec(bare);
  const cutLast =
    thick && !/^(?:ginger|jengibre|cinnamon|canela|cassia|turmeric|galangal)/.test(thick[2]!)
      ? `${thick[2]}, ${thick[1]}`
      : bare;
  const head = headAmount(cutLast);
  if (head.value !== null || head.vague) return head;
  return laterAmount(cutLast) ?? head;
}

function laterAmount(line: string): HeadAmount | null {
  const parts = line.split(/,\s*/);
  for (const [i, part] of parts.entries()) {
    const at = i > 0 ? headAmount(part) : null;
    if (
      at &&
      at.value !== null &&
      at.measure !== null &&
      at.measure !== 'inch' &&
      at.measure !== 'cm' &&
      !/^\d[\d/. -]*\s*(?:in|cm|mm|min)\b/.test(part)
    )
      return { ...at, rest: [...parts.slice(0, i), at.rest, ...parts.slice(i + 1)].filter(Boolean).join(', ') };
  }
  const tail = tailAmount.exec(line);
  if (!tail || /\d[\s-]*(?:cm|mm|in|inch|min)/.test(tail[2]!)) return null;
  const at = headAmount(tail[2]!);
  return at.value !== null && at.rest === '' ? { ...at, rest: tail[1]!.replace(/[:,-]\s*$/, '') } : null;
}
