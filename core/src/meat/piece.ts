import type { Species } from '../food/record';
import { surfaceWPerM2K, type Placement } from '../water/surface';
import { Cells, tableOf, type Around } from './cells';
import type { Composition } from './properties';
import { wayS, type Way } from './way';

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
  /** the runs of that way are the same up to here, s; left out, up to their release */
  sharedS?: number | undefined;
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
/** Out of the pot the water inside may stay so much more above it, K [tuned]. */
const openedK = 17;
/** Thermal diffusivity that the fine step follows, m2/s [from memory]. */
const meatM2PerS = 1.35e-7;
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

/**
 * One piece of food along a temperature history: 1-D conduction in enthalpy form with 30 cells and backward Euler,
 * m the area exponent; `grains` uses the full thickness with two faces. Returns core values as the worst cell.
 * Equations: ASHRAE/Choi-Okos properties, finite volumes with an enthalpy correction (energy kept to round-off).
 */
export function cookPiece(input: PieceInput): PieceResult {
  const run = new PieceRun(input);
  run.beforeLid();
  run.underLid();
  return run.opened();
}

/** A piece on its way: before the lid, under it, and after the opening. */
class PieceRun {
  private readonly vary: Variation;
  private readonly flatOnBed: boolean;
  private readonly twoFace: boolean;
  private readonly solver: Cells;
  /** what surrounds the piece, written anew for each step */
  private readonly around: Around = { envC: 0, hTop: 0, envBelowC: 0, hBelow: 0, limitC: Infinity };
  /** longest steps while heat still moves through the piece, and once it is as warm as its surroundings, s */
  private readonly stepS: number;
  private readonly settledS: number;
  private readonly spanS: number;
  private readonly releaseS: number;
  /** snapshots are kept and taken up as far as this, s */
  private readonly sharedS: number;
  private atS = 0;
  private peakC = 0;
  private startJ = 0;
  private lidCoreC = 0;

  constructor(private readonly input: PieceInput) {
    this.vary = input.vary ?? unvaried;
    const thicknessM = input.thicknessM * this.vary.thickness;
    this.flatOnBed = input.place === 'grains' && input.exponent <= flatExponent;
    this.twoFace = this.flatOnBed || input.twoFace === true;
    const fineS = min(4, max(1, (thicknessM / 2) ** 2 / (meatM2PerS * 300)));
    this.stepS = input.coarse ? max(coarseLeastS, coarseStep * fineS) : fineS;
    this.settledS = max(this.stepS, input.coarse ? coarseSettledS : settledStepS);
    this.spanS = (input.tempC.length - 1) * input.dtS;
    this.releaseS = input.releaseAt * input.dtS;
    this.sharedS = min(this.releaseS, this.spanS, input.sharedS ?? Infinity);
    this.solver =
      input.way?.solver ??
      new Cells({
        table: tableOf(input.composition, input.freezeC),
        species: input.species,
        lengthM: this.twoFace ? thicknessM : thicknessM / 2,
        exponent: this.twoFace ? 0 : input.exponent,
        cells: cellsFor(input),
        twoFace: this.twoFace,
      });
    if (input.way) input.way.solver = this.solver;
  }

  /** The pan or the board; a run that shares its way is taken up at the last snapshot instead. */
  beforeLid(): void {
    const { input, solver } = this;
    const known = input.way?.from(this.sharedS) ?? null;
    if (known) {
      solver.load(known.cells);
      this.atS = known.atS;
      this.peakC = known.peak;
      this.startJ = known.startJ;
      this.lidCoreC = known.lidCoreC;
      return;
    }
    solver.start(input.startC + this.vary.startK);
    for (const stage of input.pre) {
      const steps = max(1, ceil(stage.durationS / this.stepS));
      const below = stage.below ?? stage;
      this.surround(stage, below, Infinity);
      for (let i = 0; i < steps; i++) solver.step(stage.durationS / steps, this.around);
    }
    this.lidCoreC = solver.coreC();
    this.startJ = solver.meanJ();
    this.peakC = this.lidCoreC;
    this.keep();
  }

  /** Along the history of the pot, to the opening of the lid. */
  underLid(): void {
    const { input, solver } = this;
    const countdownS = (input.countdownAt ?? 0) * input.dtS;
    // A piece that is no slab rests on the bed with a part of its surface; the rest sees the steam.
    const potH = this.vary.surface * (input.place === 'grains' && !this.twoFace ? 1 - bedShare : 1);
    let nextTraceS = traceS;
    let nextKeptS = (floor(this.atS / wayS + 1e-9) + 1) * wayS;
    while (this.atS < this.spanS - 1e-6) {
      const falling = this.atS >= this.releaseS - 1e-6;
      // Steps end on the marks of the shared way, so that a run taken up there is the run that was kept.
      const mark = input.way && !falling ? nextKeptS - this.atS : Infinity;
      const dt = min(this.wishS(), this.spanS - this.atS, mark, falling ? Infinity : this.releaseS - this.atS);
      const stretch = this.atS < countdownS ? this.vary.heatUp : 1;
      this.atS += dt;
      const envC = this.envC();
      const h = surfaceWPerM2K(input.place, envC) * potH;
      const below = this.flatOnBed ? underFlat(input.exponent, h) : h;
      this.surround({ envC, hWPerM2K: h }, { envC, hWPerM2K: below }, falling ? envC + flashK : Infinity);
      solver.step(dt * stretch, this.around);
      this.peakC = max(this.peakC, solver.coreC());
      if (this.atS >= nextKeptS - 1e-6) {
        if (this.atS <= this.sharedS + 1e-6) this.keep();
        nextKeptS += wayS;
      }
      if (input.trace && (this.atS >= nextTraceS || this.atS >= this.spanS - 1e-6)) {
        nextTraceS = this.atS + traceS;
        input.trace.minutes.push(this.atS / 60);
        input.trace.coreC.push(solver.coreC());
      }
    }
  }

  /** What it is at the opening, and what the rest after it still does. */
  opened(): PieceResult {
    const { input, solver } = this;
    const open = {
      openCoreC: solver.coreC(),
      openMeanC: solver.meanC(),
      log10Reduction: solver.leastLog(),
      heatJPerKg: solver.meanJ() - this.startJ,
    };
    const after = input.rest ?? rest;
    const potC = input.tempC[input.tempC.length - 1]!;
    const restStepS = input.coarse ? coarseSettledS : this.stepS;
    this.surround(after, after, potC + flashK + openedK);
    for (let s = 0; s < input.restS; s += restStepS) {
      solver.step(restStepS, this.around);
      this.peakC = max(this.peakC, solver.coreC());
    }
    return {
      ...open,
      lidCoreC: this.lidCoreC,
      peakCoreC: this.peakC,
      lossShare: solver.meanLoss(),
      collagenCoreMin: solver.leastQ(),
      overcookMeanMin: solver.meanQ(),
      softCoreMin: solver.leastSoft(),
      softMeanMin: solver.meanSoft(),
    };
  }

  /** The longest next step: warm through and in step with its surroundings, a piece has nothing that one could miss. */
  private wishS(): number {
    return this.solver.settledAt(this.envC()) ? this.settledS : this.stepS;
  }

  private envC(): number {
    const { tempC, dtS } = this.input;
    return tempC[min(tempC.length - 1, round(this.atS / dtS))]!;
  }

  /** Above and below the piece; only one with two faces has anything below. */
  private surround(top: Face, below: Face, limitC: number): void {
    const a = this.around;
    a.envC = top.envC;
    a.hTop = top.hWPerM2K;
    a.envBelowC = below.envC;
    a.hBelow = this.twoFace ? below.hWPerM2K : 0;
    a.limitC = limitC;
  }

  private keep(): void {
    const { peakC: peak, startJ, lidCoreC } = this;
    this.input.way?.keep(this.atS, this.solver, { peak, startJ, lidCoreC });
  }
}

interface Face {
  envC: number;
  hWPerM2K: number;
}

function cellsFor(input: PieceInput): number {
  const thin = input.thicknessM < thinM;
  if (input.coarse) return thin ? coarseThinCells : coarseCells;
  return thin ? thinCells : fineCells;
}
