/** Edit distance between two words (insert, delete, replace, swap neighbours), the usual table walked row by row. */
export function editDistance(a: string, b: string): number {
  const width = b.length + 1;
  const d = new Array<number>((a.length + 1) * width).fill(0);
  const at = (i: number, j: number): number => d[i * width + j]!;
  for (let i = 0; i <= a.length; i++) d[i * width] = i;
  for (let j = 0; j <= b.length; j++) d[j] = j;
  for (let i = 1; i <= a.length; i++) {
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1] ? 0 : 1;
      let best = Math.min(at(i - 1, j) + 1, at(i, j - 1) + 1, at(i - 1, j - 1) + same);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]) best = Math.min(best, at(i - 2, j - 2) + 1);
      d[i * width + j] = best;
    }
  }
  return at(a.length, b.length);
}

/** Up to `count` names closest to `word`: those that contain it or share a part of it first, then by edit distance. */
export function nearest(word: string, names: readonly string[], count = 3): string[] {
  const w = word.toLowerCase().slice(0, 60);
  const parts = w.split(/[^a-z]+/).filter((p) => p.length > 2);
  const score = (name: string): number => {
    const shared = parts.filter((p) => name.includes(p)).length;
    return editDistance(w, name) - 4 * shared - (name.includes(w) ? 4 : 0);
  };
  return names
    .map((name) => ({ name, score: score(name) }))
    .filter((x) => x.score <= Math.max(2, Math.floor(w.length / 2)))
    .sort((a, b) => a.score - b.score || (a.name < b.name ? -1 : 1))
    .slice(0, count)
    .map((x) => x.name);
}
