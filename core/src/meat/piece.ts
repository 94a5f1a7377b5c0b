import type { Species } from '../food/record';
import { surfaceWPerM2K, type Placement } from '../water/surface';
import { Cells, tableOf } from './cells';
import type { Composition } from './properties';

const { min, max, round, floor, ceil } = Math;

export interface PreStage {
  durationS: number;
  envC: number;
  hWPerM2K: number;
  /** the lower face, where it sees something else: one side in the pan, the other in air */
  below?: { envC: number; hWPerM2K: number };
}

/** One way that a piece, its surface, its start and the heat-up may differ from what was told. */
export interface Variation {
  /** factors on thickness, surface coefficient and the time of the heat-up; K on the start */
  thickness: number;
  surface: number;
  startK: number;
  heatUp: number;
}

export interface PieceInput {
  composition: Composition;
  freezeC: number;
  species: Species;
  thicknessM: number;
  /** area exponent, see geometry */
  exponent: number;
  startC: number;
  pre: PreStage[];
  /** what surrounds the piece from the lid on, one value each `dtS` */
  tempC: Float64Array;
  dtS: number;
  /** samples after this one are under falling pressure: the flash limit holds */
  releaseAt: number;
  place: Placement;
  /** how far this piece and its pot are from the likely ones; left out, they are just as told */
  vary?: Variation;
  /** the first sample at the set pressure: what `vary.heatUp` stretches lies before it */
  countdownAt?: number;
  restS: number;
  /** what surrounds it after opening, when not the air left in the pot (an ice bath) */
  rest?: { envC: number; hWPerM2K: number };
  /** a slab with two faces of its own, for searing one side at a time */
  twoFace?: boolean;
  /** fewer cells and longer steps: within 1 K of the full run, for searching only */
  coarse?: boolean;
  /** snapshots of the way up and the hold, shared by runs that only differ in hold and release */
  way?: Way;
  /** filled with the core about every 15 s, for the curve */
  trace?: { minutes: number[]; coreC: number[] };
}

export interface PieceResult {
  lidCoreC: number;
  openCoreC: number;
  openMeanC: number;
  peakCoreC: number;
  log10Reduction: number;
  lossShare: number;
  collagenCoreMin: number;
  overcookMeanMin: number;
  /** softening minutes at 100 degC to the end of the rest: coldest cell and volume mean */
  softCoreMin: number;
  softMeanMin: number;
  /** heat taken up from the lid to the opening, J/kg */
  heatJPerKg: number;
}

const fineCells = 30;
/** Thin pieces are warm through in a minute; fewer cells tell the same [derived: within 0.1 K]. */
const thinCells = 16;
const thinM = 0.013;
const coarseCells = 10;
const coarseThinCells = 7;
/** Steps may be so much longer in a coarse run, and are at least so long, s. */
const coarseStep = 2;
const coarseLeastS = 4;
/** A piece that is as warm as its surroundings is followed in such steps, s [derived: within 0.1 K of the fine ones]. */
const settledStepS = 4;
/** In a coarse run a settled piece, and the rest after opening, are followed in such steps, s. */
const coarseSettledS = 12;
const traceS = 15;
/** Water inside cannot stay more than this above the pot once the pressure falls, K [tuned]. */
const flashK = 3;
/** Air left in the pot after opening, and its surface coefficient [tuned]. */
const rest = { envC: 85, hWPerM2K: 15 };

/** Under a piece that lies on the grain the surface is weak [tuned]. */
const onGrainH = 100;
/** Flatter than this (area exponent) a piece lies on the bed with one of its two faces [derived]. */
const flatExponent = 0.3;
/** Any other piece rests on it with one face of six and keeps its shape; the rest sees the steam [derived]. */
const bedShare = 1 / 6;

/** Coefficient below a flat piece on the bed, W/m2K: an endless slab sees only the bed, a strip's sides see steam too [derived]. */
const underFlat = (exponent: number, steamH: number): number => {
  const bed = min(steamH, onGrainH);
  return bed + (steamH - bed) * 0.5 * (exponent / flatExponent);
};

const unvaried: Variation = { thickness: 1, surface: 1, startK: 0, heatUp: 1 };

interface Snapshot {
  atS: number;
  cells: Float64Array;
  peak: number;
  startJ: number;
  lidCoreC: number;
}

/** Snapshots of a piece along a way that several runs share, about one a minute, and the cells that walk it. */
export class Way {
  solver: Cells | null = null;
  private readonly snapshots: Snapshot[] = [];
  /** The latest snapshot not after `until` s. */
  from(until: number): Snapshot | null {
    for (let i = this.snapshots.length - 1; i >= 0; i--)
      if (this.snapshots[i]!.atS <= until + 1e-6) return this.snapshots[i]!;
    return null;
  }
  keep(atS: number, cells: Cells, rest: Omit<Snapshot, 'atS' | 'cells'>): void {
    const last = this.snapshots[this.snapshots.length - 1];
    if (last && atS < last.atS + wayS) return;
    this.snapshots.push({ atS, cells: cells.saved(), ...rest });
  }
}
const wayS = 60;

/**
 * One piece of food along a temperature history: 1-D conduction in enthalpy form with 30 cells and backward Euler,
 * m the area exponent; `grains` uses the full thickness with two faces. Returns core values as the worst cell.
 * Equations: ASHRAE/Choi-Okos properties, finite volumes with an enthalpy correction (energy kept to round-off).
 */
export function cookPiece(input: PieceInput): PieceResult {
  const t = tableOf(input.composition, input.freezeC);
  const vary = input.vary ?? unvaried;
  const thickness = input.thicknessM * vary.thickness;
  const flatOnBed = input.place === 'grains' && input.exponent <= flatExponent;
  const twoFace = flatOnBed || input.twoFace === true;
  const m = twoFace ? 0 : input.exponent;
  const length = twoFace ? thickness : thickness / 2;
  // A piece that is no slab rests on the bed with a part of its surface; the rest sees the steam.
  const potH = vary.surface * (input.place === 'grains' && !twoFace ? 1 - bedShare : 1);
  const half = thickness / 2;
  const fineS = min(4, max(1, (half * half) / (1.35e-7 * 300)));
  const dtWish = input.coarse ? max(coarseLeastS, coarseStep * fineS) : fineS;
  const settledS = max(dtWish, input.coarse ? coarseSettledS : settledStepS);
  const span = (input.tempC.length - 1) * input.dtS;
  const releaseS = input.releaseAt * input.dtS;
  const countdownS = (input.countdownAt ?? 0) * input.dtS;

  const known = input.way?.from(min(releaseS, span)) ?? null;
  const solver = input.way?.solver ?? new Cells(t, length, m, cellsFor(input), twoFace);
  if (input.way) input.way.solver = solver;
  let at = 0;
  let peak: number;
  let startJ: number;
  let lidCoreC: number;
  if (known) {
    solver.load(known.cells);
    at = known.atS;
    ({ peak, startJ, lidCoreC } = known);
  } else {
    solver.start(input.startC + vary.startK);
    for (const stage of input.pre) {
      const steps = max(1, ceil(stage.durationS / dtWish));
      const below = stage.below ?? stage;
      for (let i = 0; i < steps; i++)
        solver.step(
          stage.durationS / steps,
          stage.envC,
          stage.hWPerM2K,
          twoFace ? below.hWPerM2K : 0,
          input.species,
          Infinity,
          below.envC,
        );
    }
    lidCoreC = solver.coreC();
    startJ = solver.meanJ();
    peak = lidCoreC;
    input.way?.keep(0, solver, { peak, startJ, lidCoreC });
  }
  let nextTraceS = traceS;
  let nextKeptS = (floor(at / wayS + 1e-9) + 1) * wayS;
  while (at < span - 1e-6) {
    const falling = at >= releaseS - 1e-6;
    const env0 = input.tempC[min(input.tempC.length - 1, round(at / input.dtS))]!;
    // Warm through and in step with its surroundings, a piece has nothing left that a long step could miss.
    const wish = solver.settledAt(env0) ? settledS : dtWish;
    // Steps end on the marks of the shared way, so that a run taken up there is the run that was kept.
    const mark = input.way && !falling ? nextKeptS - at : Infinity;
    const dt = min(wish, span - at, mark, falling ? Infinity : releaseS - at);
    const stretch = at < countdownS ? vary.heatUp : 1;
    at += dt;
    const env = input.tempC[min(input.tempC.length - 1, round(at / input.dtS))]!;
    const h = surfaceWPerM2K(input.place, env) * potH;
    const below = flatOnBed ? underFlat(input.exponent, h) : twoFace ? h : 0;
    solver.step(dt * stretch, env, h, below, input.species, falling ? env + flashK : Infinity);
    peak = max(peak, solver.coreC());
    if (at >= nextKeptS - 1e-6) {
      if (at <= releaseS + 1e-6) input.way?.keep(at, solver, { peak, startJ, lidCoreC });
      nextKeptS += wayS;
    }
    if (input.trace && (at >= nextTraceS || at >= span - 1e-6)) {
      nextTraceS = at + traceS;
      input.trace.minutes.push(at / 60);
      input.trace.coreC.push(solver.coreC());
    }
  }
  const open = {
    core: solver.coreC(),
    mean: solver.meanC(),
    log: solver.leastLog(),
    heat: solver.meanJ() - startJ,
  };
  const after = input.rest ?? rest;
  const end = input.tempC[input.tempC.length - 1]!;
  const restStepS = input.coarse ? coarseSettledS : dtWish;
  for (let s = 0; s < input.restS; s += restStepS) {
    solver.step(restStepS, after.envC, after.hWPerM2K, twoFace ? after.hWPerM2K : 0, input.species, end + flashK + 17);
    peak = max(peak, solver.coreC());
  }
  return {
    lidCoreC,
    openCoreC: open.core,
    openMeanC: open.mean,
    peakCoreC: peak,
    log10Reduction: open.log,
    lossShare: solver.meanLoss(),
    collagenCoreMin: solver.leastQ(),
    overcookMeanMin: solver.meanQ(),
    softCoreMin: solver.leastSoft(),
    softMeanMin: solver.meanSoft(),
    heatJPerKg: open.heat,
  };
}

function cellsFor(input: PieceInput): number {
  const thin = input.thicknessM < thinM;
  if (input.coarse) return thin ? coarseThinCells : coarseCells;
  return thin ? thinCells : fineCells;
}
