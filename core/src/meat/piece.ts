import type { Species } from '../food/record';
import { logPerS } from './lethality';
import { surfaceWPerM2K, type Placement } from '../water/surface';
import { enthalpyTable, mixture, type Composition } from './properties';
import { equilibriumLoss, lossTimeS, overcookRate, softeningRate } from './tenderness';

const { min, max, round, floor, ceil } = Math;

export interface PreStage {
  durationS: number;
  envC: number;
  hWPerM2K: number;
  /** the lower face, where it sees something else: one side in the pan, the other in air */
  below?: { envC: number; hWPerM2K: number };
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
  /** thicker by 8 % and a weaker surface: the run that every statement about safety uses */
  cautious: boolean;
  restS: number;
  /** what surrounds it after opening, when not the air left in the pot (an ice bath) */
  rest?: { envC: number; hWPerM2K: number };
  /** a slab with two faces of its own, for searing one side at a time */
  twoFace?: boolean;
  /** fewer cells and longer steps: within 1 K of the full run, for searching only */
  coarse?: boolean;
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
const coarseCells = 12;
/** Steps may be so much longer in a coarse run. */
const coarseStep = 2;
const tableSize = 2048;
/** Water inside cannot stay more than this above the pot once the pressure falls, K [tuned]. */
const flashK = 3;
const cautiousThickness = 1.08;
const cautiousSurface = 0.6;
/** Air left in the pot after opening, and its surface coefficient [tuned]. */
const rest = { envC: 85, hWPerM2K: 15 };

interface HTable {
  rho: number;
  perJ: number;
  temp: Float64Array;
  slope: Float64Array;
  k: Float64Array;
  log: Record<Species, Float64Array>;
  q: Float64Array;
  soft: Float64Array;
  loss: Float64Array;
  hAt: (tempC: number) => number;
}
const tables = new Map<string, HTable>();

/** All properties and rates of one food on a uniform enthalpy grid, so that a step costs one index per cell. */
function tableOf(c: Composition, freezeC: number): HTable {
  const key = JSON.stringify([c, freezeC]);
  const known = tables.get(key);
  if (known) return known;
  const fine = enthalpyTable(c, freezeC);
  const last = fine.jPerKg[fine.jPerKg.length - 1]!;
  const temp = new Float64Array(tableSize);
  let j = 0;
  for (let i = 0; i < tableSize; i++) {
    const h = (last * i) / (tableSize - 1);
    while (j < fine.jPerKg.length - 2 && fine.jPerKg[j + 1]! < h) j++;
    const f = (h - fine.jPerKg[j]!) / (fine.jPerKg[j + 1]! - fine.jPerKg[j]!);
    temp[i] = fine.tempC[j]! + f * (fine.tempC[j + 1]! - fine.tempC[j]!);
  }
  const perJ = (tableSize - 1) / last;
  const slope = Float64Array.from(temp, (_, i) => {
    const a = min(i, tableSize - 2);
    return 1 / ((temp[a + 1]! - temp[a]!) * perJ);
  });
  const table: HTable = {
    rho: mixture(c, freezeC, 20).rho,
    perJ,
    temp,
    slope,
    k: temp.map((t) => mixture(c, freezeC, t).k),
    log: { poultry: temp.map((t) => logPerS('poultry', t)), red: temp.map((t) => logPerS('red', t)) },
    q: temp.map(overcookRate),
    soft: temp.map(softeningRate),
    loss: temp.map(equilibriumLoss),
    hAt: (t) => {
      const x = min(fine.jPerKg.length - 1.001, max(0, (t - fine.tempC[0]!) / 0.05));
      const i = floor(x);
      return fine.jPerKg[i]! + (x - i) * (fine.jPerKg[i + 1]! - fine.jPerKg[i]!);
    },
  };
  tables.set(key, table);
  return table;
}

/** Under a piece that lies on the grain the surface is weak [tuned]. */
const onGrainH = 100;

/**
 * One piece of food along a temperature history: 1-D conduction in enthalpy form with 30 cells and backward Euler,
 * m the area exponent; `grains` uses the full thickness with two faces. Returns core values as the worst cell.
 * Equations: ASHRAE/Choi-Okos properties, finite volumes with an enthalpy correction (energy kept to round-off).
 */
export function cookPiece(input: PieceInput): PieceResult {
  const t = tableOf(input.composition, input.freezeC);
  const thickness = input.thicknessM * (input.cautious ? cautiousThickness : 1);
  const twoFace = input.place === 'grains' || input.twoFace === true;
  const m = twoFace ? 0 : input.exponent;
  const length = twoFace ? thickness : thickness / 2;
  const potH = input.cautious ? cautiousSurface : 1;
  const solver = new Cells(
    t,
    length,
    m,
    input.startC,
    input.coarse ? coarseCells : input.thicknessM < thinM ? thinCells : fineCells,
    twoFace,
  );
  const half = thickness / 2;
  const dtWish = min(4, max(1, (half * half) / (1.35e-7 * 300))) * (input.coarse ? coarseStep : 1);

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
  const lidCoreC = solver.coreC();
  const startJ = solver.meanJ();
  const span = (input.tempC.length - 1) * input.dtS;
  const steps = max(1, ceil(span / dtWish));
  const dt = span / steps;
  const releaseS = input.releaseAt * input.dtS;
  let peak = lidCoreC;
  for (let i = 1; i <= steps; i++) {
    const at = min(input.tempC.length - 1, round((i * dt) / input.dtS));
    const env = input.tempC[at]!;
    const h = surfaceWPerM2K(input.place, env) * potH;
    const below = twoFace ? (input.place === 'grains' ? min(h, onGrainH) : h) : 0;
    solver.step(dt, env, h, below, input.species, i * dt > releaseS ? env + flashK : Infinity);
    peak = max(peak, solver.coreC());
    if (input.trace && (i % max(1, round(15 / dt)) === 0 || i === steps)) {
      input.trace.minutes.push((i * dt) / 60);
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
  for (let s = 0; s < input.restS; s += dtWish) {
    solver.step(dtWish, after.envC, after.hWPerM2K, twoFace ? after.hWPerM2K : 0, input.species, end + flashK + 17);
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

/** The cells of one piece, from the centre (or the lower face) to the surface. */
class Cells {
  private readonly h: Float64Array;
  private readonly temp: Float64Array;
  private readonly faceA: Float64Array;
  private readonly volume: Float64Array;
  private readonly log: Float64Array;
  private readonly q: Float64Array;
  private readonly soft: Float64Array;
  private readonly loss: Float64Array;
  private readonly c: Float64Array;
  private readonly k: Float64Array;
  private readonly g: Float64Array;
  private readonly up: Float64Array;
  private readonly rhs: Float64Array;
  private readonly dx: number;
  private readonly total: number;

  constructor(
    private readonly t: HTable,
    length: number,
    m: number,
    startC: number,
    private readonly cells: number,
    private readonly twoFace: boolean,
  ) {
    const column = (extra = 0): Float64Array => new Float64Array(cells + extra);
    this.h = column();
    this.temp = column();
    this.faceA = column(1);
    this.volume = column();
    this.log = column();
    this.q = column();
    this.soft = column();
    this.loss = column();
    this.c = column();
    this.k = column();
    this.g = column(1);
    this.up = column();
    this.rhs = column();
    this.dx = length / cells;
    for (let f = 0; f <= cells; f++) this.faceA[f] = (f / cells) ** m;
    let total = 0;
    for (let i = 0; i < cells; i++) {
      this.volume[i] = (length / (m + 1)) * (((i + 1) / cells) ** (m + 1) - (i / cells) ** (m + 1));
      total += this.volume[i]!;
    }
    this.total = total;
    this.h.fill(t.hAt(startC));
    this.temp.fill(startC);
  }

  step(
    dt: number,
    envC: number,
    hTop: number,
    hBelow: number,
    species: Species,
    limitC: number,
    envBelowC = envC,
  ): void {
    const { t, dx, g, temp, cells } = this;
    for (let i = 0; i < cells; i++) {
      const at = min(tableSize - 1, max(0, round(this.h[i]! * t.perJ)));
      this.c[i] = t.slope[at]!;
      this.k[i] = t.k[at]!;
    }
    g[0] = hBelow > 0 ? (hBelow * this.k[0]!) / (this.k[0]! + (hBelow * dx) / 2) : 0;
    for (let i = 1; i < cells; i++)
      g[i] = ((2 * this.faceA[i]!) / dx) * ((this.k[i - 1]! * this.k[i]!) / (this.k[i - 1]! + this.k[i]!));
    const kn = this.k[cells - 1]!;
    g[cells] = (hTop * kn) / (kn + (hTop * dx) / 2);
    // Tridiagonal solve for the change of temperature: backward Euler with the properties of the old level.
    for (let i = 0; i < cells; i++) {
      const gl = g[i]!;
      const gr = g[i + 1]!;
      const left = i === 0 ? envBelowC : temp[i - 1]!;
      const right = i === cells - 1 ? envC : temp[i + 1]!;
      const diag = (t.rho * this.c[i]! * this.volume[i]!) / dt + gl + gr;
      const r = gl * (left - temp[i]!) + gr * (right - temp[i]!);
      const lower = i === 0 ? 0 : gl;
      const pivot = diag - (i === 0 ? 0 : lower * this.up[i - 1]!);
      this.up[i] = gr / pivot;
      this.rhs[i] = (r + (i === 0 ? 0 : lower * this.rhs[i - 1]!)) / pivot;
    }
    for (let i = cells - 2; i >= 0; i--) this.rhs[i] = this.rhs[i]! + this.up[i]! * this.rhs[i + 1]!;
    const logs = t.log[species];
    for (let i = 0; i < cells; i++) {
      this.h[i] = this.h[i]! + this.c[i]! * this.rhs[i]!;
      let x = min(tableSize - 1.001, max(0, this.h[i]! * t.perJ));
      const at = floor(x);
      temp[i] = t.temp[at]! + (x - at) * (t.temp[at + 1]! - t.temp[at]!);
      if (temp[i]! > limitC) {
        temp[i] = limitC;
        this.h[i] = t.hAt(limitC);
        x = this.h[i]! * t.perJ;
      }
      const near = round(x);
      this.log[i] = this.log[i]! + logs[near]! * dt;
      this.q[i] = this.q[i]! + (t.q[near]! * dt) / 60;
      this.soft[i] = this.soft[i]! + (t.soft[near]! * dt) / 60;
      const eq = t.loss[near]!;
      if (eq > this.loss[i]!) this.loss[i] = this.loss[i]! + ((eq - this.loss[i]!) / lossTimeS) * dt;
    }
  }

  private least(a: Float64Array): number {
    return a.reduce((x, y) => min(x, y), Infinity);
  }
  private mean(a: Float64Array): number {
    return a.reduce((sum, x, i) => sum + x * this.volume[i]!, 0) / this.total;
  }
  /** Temperature in the middle; with two faces the coldest cell, wherever it lies. */
  coreC(): number {
    return this.twoFace ? this.least(this.temp) : this.temp[0]! - (this.temp[1]! - this.temp[0]!) / 8;
  }
  meanC(): number {
    return this.mean(this.temp);
  }
  meanJ(): number {
    return this.mean(this.h);
  }
  leastLog(): number {
    return this.least(this.log);
  }
  leastQ(): number {
    return this.least(this.q);
  }
  meanQ(): number {
    return this.mean(this.q);
  }
  leastSoft(): number {
    return this.least(this.soft);
  }
  meanSoft(): number {
    return this.mean(this.soft);
  }
  meanLoss(): number {
    return this.mean(this.loss);
  }
}
