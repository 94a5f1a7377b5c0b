/**
 * Letters and digits of a name as an id that no other has: "Nan's tofu" is `own-nan-s-tofu`, the second one `own-nan-s-tofu-2`.
 *
 * @param nameless what stands for a name without a letter or digit
 */
export function slugId(
  prefix: string,
  name: string,
  { nameless, taken }: { nameless: string; taken: readonly string[] },
): string {
  const slug = name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 48);
  const base = `${prefix}-${slug || nameless}`;
  for (let n = 1; ; n++) {
    const id = n === 1 ? base : `${base}-${n}`;
    if (!taken.includes(id)) return id;
  }
}
