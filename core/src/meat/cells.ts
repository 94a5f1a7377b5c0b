import type { Species } from '../food/record';
import { lethalityLaw, logPerS } from './lethality';
import { enthalpyTable, mixture, type Composition } from './properties';
import { equilibriumLoss, lossTimeS, overcookRate, softeningRate } from './tenderness';

const { min, max, floor } = Math;

/** Below this nothing dies, melts, softens or shrinks that counts, degC [derived: the loss law ends under 0.2 points]. */
const idleC = 30;
const tableSize = 2048;
/** A piece within this of its surroundings is settled, K [derived]. */
const settledK = 2;

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

/** Log reductions per second of every species at these temperatures; species of one law share a column. */
function logTables(temp: Float64Array): Record<Species, Float64Array> {
  const byLaw = new Map<unknown, Float64Array>();
  const column = (species: Species): Float64Array => {
    const law = lethalityLaw[species];
    const known = byLaw.get(law) ?? temp.map((t) => logPerS(species, t));
    byLaw.set(law, known);
    return known;
  };
  return Object.fromEntries((Object.keys(lethalityLaw) as Species[]).map((s) => [s, column(s)])) as Record<
    Species,
    Float64Array
  >;
}

/** All properties and rates of one food on a uniform enthalpy grid, so that a step costs one index per cell. */
export function tableOf(c: Composition, freezeC: number): HTable {
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
    log: logTables(temp),
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

/** What a piece is made of and how it is cut into cells. */
interface CellsOf {
  table: HTable;
  species: Species;
  /** from the centre, or the lower face, to the surface */
  lengthM: number;
  /** area exponent, see geometry */
  exponent: number;
  cells: number;
  /** heat comes from both faces, and the coldest cell is somewhere between them */
  twoFace: boolean;
}

/** What surrounds a piece in one step: temperatures and coefficients, W/m2K, above and below, and the most that its water can be, degC. */
export interface Around {
  envC: number;
  hTop: number;
  envBelowC: number;
  hBelow: number;
  limitC: number;
}

/** The cells of one piece, from the centre (or the lower face) to the surface. */
export class Cells {
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

  private readonly t: HTable;
  private readonly species: Species;
  private readonly cells: number;
  private readonly twoFace: boolean;

  constructor({ table, species, lengthM: length, exponent: m, cells, twoFace }: CellsOf) {
    this.t = table;
    this.twoFace = twoFace;
    this.species = species;
    this.cells = cells;
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
  }

  /** Uniform at so many degC, with nothing done yet. */
  start(startC: number): void {
    const { t } = this;
    for (const column of [this.log, this.q, this.soft, this.loss]) column.fill(0);
    const startJ = t.hAt(startC);
    this.h.fill(startJ);
    this.temp.fill(startC);
    const near = floor(min(tableSize - 1, max(0, startJ * t.perJ)) + 0.5);
    this.c.fill(t.slope[near]!);
    this.k.fill(t.k[near]!);
  }

  private columns(): Float64Array[] {
    return [this.h, this.temp, this.log, this.q, this.soft, this.loss, this.c, this.k];
  }
  saved(): Float64Array {
    const out = new Float64Array(8 * this.cells);
    this.columns().forEach((column, i) => out.set(column, i * this.cells));
    return out;
  }
  load(from: Float64Array): void {
    this.columns().forEach((column, i) => {
      for (let k = 0; k < this.cells; k++) column[k] = from[i * this.cells + k]!;
    });
  }

  /** One step of `dt` s. */
  step(dt: number, { envC, hTop, hBelow, envBelowC, limitC }: Around): void {
    const { t, dx, g, temp, cells, h, c, k, up, rhs, volume, faceA, log, q, soft, loss } = this;
    const last = cells - 1;
    g[0] = hBelow > 0 ? (hBelow * k[0]!) / (k[0]! + (hBelow * dx) / 2) : 0;
    for (let i = 1; i < cells; i++) g[i] = ((2 * faceA[i]!) / dx) * ((k[i - 1]! * k[i]!) / (k[i - 1]! + k[i]!));
    g[cells] = (hTop * k[last]!) / (k[last]! + (hTop * dx) / 2);
    // Tridiagonal solve for the change of temperature: backward Euler with the properties of the old level.
    const perS = t.rho / dt;
    let flow = g[0] * (envBelowC - temp[0]!);
    let lower = 0;
    let upBefore = 0;
    let rhsBefore = 0;
    for (let i = 0; i < cells; i++) {
      const gl = g[i]!;
      const gr = g[i + 1]!;
      const out = gr * ((i === last ? envC : temp[i + 1]!) - temp[i]!);
      const pivot = perS * c[i]! * volume[i]! + gl + gr - lower * upBefore;
      upBefore = gr / pivot;
      rhsBefore = (flow + out + lower * rhsBefore) / pivot;
      up[i] = upBefore;
      rhs[i] = rhsBefore;
      lower = gr;
      flow = -out;
    }
    for (let i = last - 1; i >= 0; i--) rhs[i] = rhs[i]! + up[i]! * rhs[i + 1]!;
    const logs = t.log[this.species];
    const perJ = t.perJ;
    const dtMin = dt / 60;
    const dtLoss = dt / lossTimeS;
    for (let i = 0; i < cells; i++) {
      let j = h[i]! + c[i]! * rhs[i]!;
      let x = min(tableSize - 1.001, max(0, j * perJ));
      const at = floor(x);
      let now = t.temp[at]! + (x - at) * (t.temp[at + 1]! - t.temp[at]!);
      if (now > limitC) {
        now = limitC;
        j = t.hAt(limitC);
        x = min(tableSize - 1.001, max(0, j * perJ));
      }
      h[i] = j;
      temp[i] = now;
      const near = floor(x + 0.5);
      c[i] = t.slope[near]!;
      k[i] = t.k[near]!;
      if (now < idleC) continue;
      log[i] = log[i]! + logs[near]! * dt;
      q[i] = q[i]! + t.q[near]! * dtMin;
      soft[i] = soft[i]! + t.soft[near]! * dtMin;
      const eq = t.loss[near]!;
      if (eq > loss[i]!) loss[i] = loss[i]! + (eq - loss[i]!) * dtLoss;
    }
  }

  /** Everywhere nearly as warm as the surroundings. */
  settledAt(envC: number): boolean {
    const [inside, outside] = [this.temp[0]!, this.temp[this.cells - 1]!];
    return max(inside, outside, envC) - min(inside, outside, envC) < settledK;
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
