const key = 'einkorn.recipe';

/** The text that was being written when this browser was last here. */
export function draftText(): string {
  try {
    return localStorage.getItem(key) ?? '';
  } catch {
    return '';
  }
}

/** Keeps the text for the next visit; an empty one is forgotten. */
export function keepDraft(text: string): void {
  try {
    if (text.trim() === '') localStorage.removeItem(key);
    else localStorage.setItem(key, text);
  } catch {
    // A browser that keeps nothing still lets the cook go on.
  }
}
