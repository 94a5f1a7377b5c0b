import * as z from 'zod';
import { fields } from '../dish/fields';
import { stepIdSchema } from '../plan/document/step-id';

/** The step that heats after a lid: of the whole dish, or of the first of two stages. */
export const lids = ['heat-up', 'first-heat'] as const;
export type Lid = (typeof lids)[number];

/** Milliseconds since the epoch, up to the year 2100. */
export const momentSchema = z.number().int().min(0).max(4_102_444_800_000);

/** An id as a sender makes it: no control characters, which a database cannot be asked for. */
export const idSchema = z
  .string()
  .min(1)
  .max(60)
  .regex(/^\P{Cc}+$/u);

const kind = <K extends string, S extends z.ZodRawShape>(name: K, own: S) =>
  z.strictObject({
    kind: z.literal(name),
    /** made by the sender, so that a repeated send is one event; an undo names it */
    id: idSchema,
    /** when it happened, ms since the epoch */
    atMs: momentSchema,
    /** when its sender said that it happened, where that could not be: before the cook began, or later than the house's clock */
    saidMs: momentSchema.optional(),
    /** the device that told it; absent when a hand tapped */
    device: z.string().max(40).optional(),
    /** its place among the events of its cook, given once by the server; absent on one that is not kept yet */
    seq: z.number().int().positive().optional(),
    ...own,
  });
const minutes = z.number().min(0).max(600);
const words = z.string().max(500);

/** Everything that can happen in a cook, each with its own fields. What ends a step: `done` and the taps of the pot. */
export const cookEventSchema = z.discriminatedUnion('kind', [
  kind('done', { stepId: stepIdSchema }),
  kind('heat-on', {}),
  kind('hot', {}),
  kind('pin-up', {}),
  kind('countdown', {}),
  kind('whistle', {}),
  kind('valve-open', {}),
  kind('pin-down', {}),
  /** takes back one event by its id */
  kind('undone', { targetId: idSchema }),
  /** the cook takes other minutes at pressure than planned */
  kind('hold-changed', { holdMin: minutes }),
  kind('burn', { text: words.optional() }),
  /** something went wrong that no rescue answers, in the cook's words */
  kind('off-plan', { text: words.optional() }),
  kind('probe-read', { coreC: z.number().min(-60).max(400) }),
  kind('weight-read', { grams: fields.weighedG }),
  kind('gauge-read', { gaugeKpa: z.number().min(-101).max(400) }),
  kind('noted', { text: words }),
  kind('timer-started', { minutes, name: words }),
  kind('timer-stopped', { timerId: idSchema }),
  kind('thermometer-skipped', {}),
  /** something was put right: how long it takes, and where the lid is locked again the new run under it */
  kind('rescued', {
    minutes,
    text: words,
    lockedAgain: z.strictObject({ lid: z.enum(lids), holdMin: minutes, addMl: z.number().min(0).max(5000) }).optional(),
  }),
]);
export type CookEvent = z.infer<typeof cookEventSchema>;
export type EventKind = CookEvent['kind'];
export type EventOf<K extends EventKind> = Extract<CookEvent, { kind: K }>;

/** What is told of an event beside who sends it and when: the fields of its kind. */
export type Happening = { [K in EventKind]: Omit<EventOf<K>, 'id' | 'atMs' | 'saidMs' | 'device' | 'seq'> }[EventKind];

/** Is it of this kind? For lists: `events.filter(isKind('burn'))`. */
export const isKind =
  <K extends EventKind>(name: K) =>
  (e: CookEvent): e is EventOf<K> =>
    e.kind === name;

export const eventKinds: readonly EventKind[] = cookEventSchema.options.map((o) => o.shape.kind.value);
