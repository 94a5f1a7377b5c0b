import * as z from 'zod';

const key = 'einkorn.evening';
const schema = z.object({
  courses: z.array(z.object({ dishId: z.string().max(60), potId: z.string().max(60) })).max(3),
  serveAt: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/),
});
export type EveningChoice = z.infer<typeof schema>;

/** What was chosen for the evening, in this browser; nothing readable there is no choice. */
export function eveningKept(): EveningChoice | null {
  try {
    return schema.parse(JSON.parse(localStorage.getItem(key) ?? 'null'));
  } catch {
    return null;
  }
}

export function keepEvening({ courses, serveAt }: EveningChoice): void {
  try {
    localStorage.setItem(key, JSON.stringify({ courses, serveAt }));
  } catch {
    // A browser without room plans the evening all the same.
  }
}
