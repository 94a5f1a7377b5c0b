import type { Outcome } from '@einkorn/core';
import type { Change } from './change';

/** How the keys of changes of cooks begin. */
export const cooksInOutbox = 'cook:';

/** The end of a cook, or how it came out, for the outbox. */
export const cookChange = (
  id: string,
  change: { finishedMs?: number; outcome: Outcome; had: Outcome | null },
): Change => ({ key: `${cooksInOutbox}${id}`, path: `/api/cooks/${encodeURIComponent(id)}`, body: change, cookId: id });
