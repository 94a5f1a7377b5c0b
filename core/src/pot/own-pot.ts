import * as z from 'zod';
import { trivetMm } from './inner-bowl';
import { says } from '../problem';
import { ranged } from '../ranged';
import { slugId } from '../slug-id';
import type { SourceCode } from '../source';
import { stableJson } from '../stable-json';
import { potIds, pots, resized, type PotProfile } from './profile';

/** A pot's own numbers are the cook's reading of its manual. */
const manual: SourceCode = 'P';
/** Nobody fills a pressure cooker beyond two thirds [common practice]. */
const mostFillShare = 2 / 3;
/** A pot is between a pan and a tube: its height over its width [common practice]. */
const heightOfWidth = { least: 0.3, most: 2 } as const;

/** A bowl goes in with room for fingers and steam around it, mm [common practice]. */
const bowlGapMm = 10;

/** A program of a cooker that has nothing else: the name on its button, its pressure and its minutes. */
const ownProgramSchema = z.strictObject({
  id: z
    .string()
    .trim()
    .min(1, says('program-name-needed'))
    .max(30, says('characters-at-most', { most: 30 })),
  pressure: z.enum(['high', 'low']),
  holdMin: z
    .number({ error: says('minutes-needed') })
    .min(0, says('minutes-negative'))
    .max(180, says('at-most', { value: '180 min' })),
});

/** A pot of the cook's own: what its manual says; whatever is left out is as of the known pot that it is like. */
export const ownPotSchema = z
  .strictObject({
    id: z.string().regex(/^pot-[a-z0-9-]{1,54}$/, says('own-id', { start: 'pot-' })),
    name: z
      .string()
      .trim()
      .min(1, says('name-needed'))
      .max(40, says('characters-at-most', { most: 40 })),
    /** the known pot that it is like */
    like: z.string().refine((id) => potIds.includes(id), { error: says('like-pot-needed') }),
    litres: ranged(1.5, 25, 'L').optional(),
    /** inner diameter */
    diameterMm: ranged(120, 400, 'mm').optional(),
    powerW: ranged(200, 5000, 'W').optional(),
    /** working pressures over the air outside; `null`: it has no low one */
    highKpa: z
      .number()
      .min(30, says('between', { least: 30, most: 120, unit: 'kPa' }))
      .max(120, says('between', { least: 30, most: 120, unit: 'kPa' }))
      .optional(),
    lowKpa: z
      .number()
      .min(10, says('between', { least: 10, most: 100, unit: 'kPa' }))
      .max(100, says('between', { least: 10, most: 100, unit: 'kPa' }))
      .nullable()
      .optional(),
    /** least thin liquid by its manual */
    minimumMl: z
      .number()
      .min(50, says('between', { least: 50, most: 2000, unit: 'mL' }))
      .max(2000, says('between', { least: 50, most: 2000, unit: 'mL' }))
      .optional(),
    /** its highest mark, as a share of its litres */
    fillShare: z.number().min(0.4, says('mark-least')).max(mostFillShare, says('mark-most')).optional(),
    /** height of the feet of its rack */
    rackMm: ranged(5, 150, 'mm').optional(),
    /** the bowl that goes into it, measured inside */
    bowl: z
      .strictObject({
        diameterMm: ranged(80, 380, 'mm'),
        heightMm: ranged(30, 250, 'mm'),
        wall: z.enum(['steel', 'glass']),
      })
      .optional(),
    programs: z.array(ownProgramSchema).min(1, says('programs-needed')).max(24).optional(),
    /** put away: it is no longer offered, and its cooks keep it */
    retired: z.boolean().optional(),
  })
  .superRefine((own, ctx) => {
    const say = (path: string, message: string): void =>
      ctx.addIssue({ code: 'custom', path: path.split('.'), message });
    if (!potIds.includes(own.like)) return;
    const { litres, diameterMm, highKpa, lowKpa } = numbersOf(own);
    const heightMm = (litres * 1e6) / ((Math.PI / 4) * diameterMm ** 2);
    const ratio = heightMm / diameterMm;
    if (ratio < heightOfWidth.least || ratio > heightOfWidth.most)
      say('diameterMm', says('pot-shape', { litres, wideMm: Math.round(diameterMm), highMm: Math.round(heightMm) }));
    if (own.bowl && own.bowl.diameterMm > diameterMm - bowlGapMm)
      say('bowl.diameterMm', says('bowl-wider', { mostMm: Math.round(diameterMm - bowlGapMm) }));
    const roomMm = heightMm - (own.rackMm ?? trivetMm);
    if (own.bowl && own.bowl.heightMm > roomMm)
      say('bowl.heightMm', says('bowl-higher', { mostMm: Math.max(0, Math.round(roomMm)) }));
    if (lowKpa !== null && lowKpa >= highKpa) say('lowKpa', says('low-under-high', { highKpa: Math.round(highKpa) }));
    if (lowKpa === null && own.programs?.some((p) => p.pressure === 'low')) say('programs', says('no-low-pressure'));
  });
export type OwnPot = z.infer<typeof ownPotSchema>;

/** What names a pot: its id, and its own numbers where it is none of the table. */
export interface PotRef {
  id: string;
  own?: OwnPot | undefined;
}

/** The profile of a pot: of the table, or the cook's own. A pot that nobody knows is taken as the first of the table. */
export const potProfile = ({ id, own }: PotRef): PotProfile =>
  own ? ownProfile(own) : (pots.find((p) => p.id === id) ?? pots[0]!);

const likeOf = (own: OwnPot): PotProfile => pots.find((p) => p.id === own.like)!;

/** The numbers that a cook can give, with those of the known pot, grown with the litres, where they were left out. */
function numbersOf(own: OwnPot) {
  const like = likeOf(own);
  const litres = own.litres ?? like.litres;
  const wider = (litres / like.litres) ** (1 / 3);
  return {
    litres,
    diameterMm: own.diameterMm ?? like.diameterMm * wider,
    powerW: own.powerW ?? like.powerW * wider ** 2,
    highKpa: own.highKpa ?? like.highKpa,
    lowKpa: own.lowKpa === undefined ? like.lowKpa : own.lowKpa,
    minimumMl: own.minimumMl ?? Math.round((like.minimumLiquidMl[0] * wider ** 2) / 10) * 10,
  };
}

const profiles = new WeakMap<OwnPot, PotProfile>();

/**
 * The profile of a pot of the cook's own: surfaces and metal of the known pot grown with the area, volume^(2/3); valves and
 * weights open in proportion to the pressure it works at [derived, not calibrated].
 */
function ownProfile(own: OwnPot): PotProfile {
  const known = profiles.get(own);
  if (known) return known;
  const like = likeOf(own);
  const n = numbersOf(own);
  const byPressure = n.highKpa / like.highKpa;
  const made: PotProfile = {
    ...resized(like, n.litres),
    id: own.id,
    diameterMm: n.diameterMm,
    powerW: n.powerW,
    highKpa: n.highKpa,
    lowKpa: n.lowKpa,
    minimumLiquidMl: [n.minimumMl, own.minimumMl === undefined ? 'D' : manual],
    fillShare: own.fillShare ?? like.fillShare,
    relief: like.relief && { ...like.relief, openPa: like.relief.openPa * byPressure },
    whistle: like.whistle && {
      ...like.whistle,
      openPa: like.whistle.openPa * byPressure,
      closePa: like.whistle.closePa * byPressure,
    },
    programs: own.programs ?? like.programs,
    rackMm: own.rackMm,
    bowl: own.bowl,
  };
  profiles.set(own, made);
  return made;
}

/** What a plan depends on of a pot: its numbers, whatever it is called and whether it was put away. */
export function potMark({ id, own }: PotRef): unknown {
  if (!own) return id;
  const { name: _name, retired: _retired, ...numbers } = own;
  return numbers;
}
export const isSamePot = (a: PotRef, b: PotRef): boolean => stableJson(potMark(a)) === stableJson(potMark(b));

/** The name of a pot as an id that no other has. */
export const ownPotId = (name: string, taken: readonly string[] = []): string =>
  slugId('pot', name, { nameless: 'own', taken });
