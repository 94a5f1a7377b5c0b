/** JSON with the fields of every object in one order; what is undefined is not there. */
export function stableJson(x: unknown): string {
  if (Array.isArray(x)) return `[${x.map(stableJson).join()}]`;
  if (typeof x !== 'object' || x === null) return JSON.stringify(x);
  const fields = Object.entries(x).filter(([, v]) => v !== undefined);
  return `{${fields
    .sort(([p], [q]) => (p < q ? -1 : 1))
    .map(([k, v]) => `${JSON.stringify(k)}:${stableJson(v)}`)
    .join()}}`;
}
