import { effect, untracked } from '@angular/core';

/** What of a cook is said when it changes. */
interface Said {
  step: () => { step: { id: string } } | null;
  /** the words of the step */
  title: () => string;
  timers: () => readonly { id: string; name: string; over: boolean }[];
}

/** Says every new step but the one that the page was opened at, and every timer that is over, once each. */
export function announceChanges({ step, title, timers }: Said, say: (text: string) => void): void {
  let said: string | null = null;
  effect(() => {
    const s = step();
    if (!s || s.step.id === said) return;
    const isFirst = said === null;
    said = s.step.id;
    if (!isFirst) untracked(() => say(title()));
  });
  const rung = new Set<string>();
  effect(() => {
    for (const x of timers())
      if (x.over && !rung.has(x.id)) {
        rung.add(x.id);
        untracked(() => say(x.name));
      }
  });
}
