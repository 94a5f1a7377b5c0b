import { cookSchema, cookEventSchema, deviceName } from '@einkorn/core';
import * as z from 'zod';

/*
 * The device protocol, einkorn.device/1: a device POSTs what it measures to /api/devices/readings and may listen to
 * /api/devices/stream (server-sent events) for commands. docs/devices.md tells it with examples.
 */
export const deviceFormat = 'einkorn.device/1';

const moment = z.number().int().min(0).max(4_102_444_800_000);

/** One thing that a device saw, at its own time. */
export const readingSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('pin'), value: z.enum(['up', 'down']), atMs: moment }),
  z.strictObject({ kind: z.literal('pressure'), kpa: z.number().min(-101).max(400), atMs: moment }),
  z.strictObject({ kind: z.literal('temperature'), celsius: z.number().min(-60).max(400), atMs: moment }),
  z.strictObject({ kind: z.literal('weight'), grams: z.number().min(0).max(50_000), atMs: moment }),
  z.strictObject({ kind: z.literal('whistle'), count: z.number().int().min(1).max(200), atMs: moment }),
  z.strictObject({ kind: z.literal('countdown'), atMs: moment }),
  z.strictObject({ kind: z.literal('hold-end'), atMs: moment }),
  z.strictObject({ kind: z.literal('burn'), atMs: moment }),
]);
export type Reading = z.infer<typeof readingSchema>;

export const readingsSchema = z.strictObject({
  format: z.literal(deviceFormat),
  device: deviceName,
  /** the cook it belongs to; without it the newest one in progress */
  cook: z.string().min(1).max(60).optional(),
  /** only a device that runs a practice clock says this: its time now and how fast it runs (0 while it stands) */
  clock: z.strictObject({ atMs: moment, speed: z.number().min(0).max(60) }).optional(),
  readings: z.array(readingSchema).max(500),
});
export type Readings = z.infer<typeof readingsSchema>;

/** What a listening device is told. A real cooker ignores all but `measure`; the hand does the rest. */
export const commandSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('attach'), cook: cookSchema }),
  z.strictObject({ kind: z.literal('events'), cookId: z.string(), events: z.array(cookEventSchema) }),
  z.strictObject({ kind: z.literal('detach'), cookId: z.string() }),
  z.strictObject({ kind: z.literal('measure'), cookId: z.string(), what: z.enum(['temperature', 'weight']) }),
  z.strictObject({ kind: z.literal('speed'), cookId: z.string(), speed: z.number().min(1).max(60) }),
  z.strictObject({ kind: z.literal('pause'), cookId: z.string() }),
  z.strictObject({ kind: z.literal('resume'), cookId: z.string() }),
]);
export type Command = z.infer<typeof commandSchema>;
