import { lastWhole } from '../../bisect';
import { equivalentMin } from '../../grain/clock';
import { rate } from '../../grain/rate';
import { naturalMinOf, type PotRun, type Release } from '../../pot/program';
import { meansOf } from '../../pot/history';
import type { LiquidBounds } from '../setup/bounds';
import type { Gathered } from '../gather/item';
import { piecesOf, type Heated } from '../simulate/heated';
import type { Run } from '../judge/run';
import { outcomeOf } from '../judge/runs';
import { holdsOf } from './holds';
import { liquidFor, type Miss } from './liquid';
import { areSafe, runMeats, type Sure } from '../simulate/meat';
import { runPlants } from '../simulate/plants';
import { isTenderAim, meatsOf, plantsOf } from '../gather/pieces';
import { leadingPieces, type Leading } from './leading';
import { keyOf, releasesFor, sameRelease } from './releases';
import { firstIndex, ShortestSafe } from './shortest-safe';
import { targetE, type TargetE } from '../setup/target';
import { starchTemps, type GrainOutcome } from '../simulate/outcome';
import { better, weighed, type Unweighed } from '../judge/weigh';

/** Samples that the clock reads as one while searching, s: within .1 points of the plan [derived]. */
const clockS = 8;
/** Under this chance of its texture a hill is not trusted to be the only one [derived: half of the cooks]. */
const doubtful = 0.5;
/** Pieces followed, all programs together, after which a way up ends where it is: no plausible dish needs as many [derived: 1,500 of them]. */
const mostFollowed = 330;
/** A neighbour's program stays unless another is better by more than this, points. */
const worthChanging = 2;
/** Steps of the grid by which a neighbour's hold may grow where its own is no longer safe. */
const stepsLonger = 2;

/** What a search is held to. */
export interface Fixed {
  holdMin?: number;
  release?: Release;
  /** mL; without it the liquid is solved for every program */
  liquidMl?: number;
}

/** A program that was chosen before for nearly the same dish. */
export interface Near {
  holdMin: number;
  release: Release;
}

/** A program tried on the pot, before liquid and pieces are looked at. */
interface Trial extends Pick<Run, 'holdMin' | 'release' | 'potRun' | 'naturalMin' | 'equivalentMin'> {
  /** the starch's temperatures in means of `clockS` */
  clock: { temps: Float64Array; run: PotRun } | null;
}

/** The best program of a way up so far, and where it lies on the grid of holds. */
interface Top {
  i: number;
  run: Run;
}

/** What a search is bound by. */
interface Asked {
  /** sauce that is missing with so much liquid, g; null where nothing drinks */
  miss: Miss | null;
  bounds: LiquidBounds;
  fixed: Fixed;
}

/** How much of a program is looked at: with every piece as perfect, with the slowest meat alone, or with all that lead. */
type Depth = 'bare' | 'slowest' | 'all';

/** Not even with perfect pieces is a program better: they need not be followed. */
const isBeaten = (bare: Run, best: Run): boolean =>
  bare.stops > best.stops || (bare.stops === best.stops && bare.score <= best.score);

/** Every piece tender and every seed soft. */
const isGood = (c: Run): boolean =>
  c.plants.every((p) => p.verdict !== 'hard') &&
  c.meats.every((m) => isTenderAim(m.item, m.verdict.collagenCoreMin ?? 0));

/** Everything that stays the same while the programs of one heated pot are compared. */
export class Search {
  private readonly trials = new Map<string, Trial>();
  private readonly judged: Readonly<Record<Depth, Map<string, Run>>> = {
    bare: new Map(),
    slowest: new Map(),
    all: new Map(),
  };
  private readonly surely: Sure = new Map();
  private readonly target: TargetE | null;
  private readonly releases: readonly Release[];
  private readonly leading: Leading;
  private lastMl: number;
  private followed = 0;
  /** the best program while every piece is taken as perfect */
  perfect: Run | null = null;
  private readonly pieces: number;
  private readonly shortestSafe: ShortestSafe;

  constructor(
    readonly h: Heated,
    private readonly asked: Asked,
    /** holds that may be chosen, min */
    private readonly grid: readonly number[] = holdsOf(h),
  ) {
    const { fixed } = asked;
    this.releases = fixed.release ? [fixed.release] : releasesFor(h);
    this.target = h.setup.g.grain ? targetE(h.setup.g, h.texture, h.addMl) : null;
    this.lastMl = fixed.liquidMl ?? h.addMl;
    this.leading = leadingPieces(h.setup.g);
    this.pieces = meatsOf(this.leading.all).length + plantsOf(this.leading.all).length;
    this.shortestSafe = new ShortestSafe({
      last: grid.length - 1,
      longest: this.releases.find((r) => r.kind === 'natural') ?? this.releases.at(-1)!,
      runOf: (i, release) => this.trial(grid[i]!, release).potRun,
      isSafe: (run) => areSafe(this.leading.all, run, { ...piecesOf(h), ways: h.ways, coarse: true }),
    });
  }

  /** The best program: the fewest stops, then the most points. */
  best(near: Near | null): Run {
    let guess = Math.max(
      0,
      this.grid.findIndex((x) => x >= 5),
    );
    const byStarch = this.releases.map((release) => {
      guess = this.indexNear(release, guess);
      return { release, start: guess };
    });
    return this.among(byStarch, near, (start, release) => this.starts(release, start));
  }

  /** The best program around one that was best for nearly this liquid. */
  around(from: Run, near: Near | null): Run {
    const k = this.releases.findIndex((r) => sameRelease(r, from.release));
    const start = this.indexOf(from.holdMin);
    const span = this.releases.filter((_, i) => k < 0 || Math.abs(i - k) <= 1).map((release) => ({ release, start }));
    const best = this.among(span, near, (i, release) => [this.shortestSafe.from(i, release)]);
    // A few millilitres seldom make a piece unsafe: then everything is looked at again.
    return best.stops > from.stops ? this.best(near) : best;
  }

  /**
   * Branch and bound: what a release gives while every piece is taken as perfect cannot be beaten by what it gives with
   * them, so the pieces are only followed where that is still more than the best so far.
   */
  private among(
    ways: readonly { release: Release; start: number }[],
    near: Near | null,
    starts: (start: number, release: Release) => number[],
  ): Run {
    const promising = ways
      .map((w) => ({ ...w, most: this.topOf(w.start, w.release) }))
      .sort((a, b) => b.most.score - a.most.score);
    this.perfect ??= promising[0]!.most;
    let best: Run | null = null;
    for (const { release, start, most } of promising) {
      if (best && isBeaten(most, best)) continue;
      for (const i of starts(this.asked.fixed.holdMin === undefined ? this.indexOf(most.holdMin) : start, release))
        best = better(best, this.uphill(i, release));
    }
    return near ? this.stay(best!, near) : best!;
  }

  /** The neighbour's program, or with its release a hold a little longer, if it is as safe and nearly as good. */
  private stay(best: Run, near: Near): Run {
    const holdMin = this.asked.fixed.holdMin ?? this.settableNear(near.holdMin);
    const release = this.asked.fixed.release ?? near.release;
    if (holdMin === null) return best;
    const from = this.grid.indexOf(holdMin);
    const holds = this.asked.fixed.holdMin === undefined ? this.grid.slice(from, from + 1 + stepsLonger) : [holdMin];
    const asGood = (c: Run): boolean => c.stops <= best.stops && c.score >= best.score - worthChanging;
    return holds.map((min) => this.judge(min, release)).find(asGood) ?? best;
  }

  /** A neighbour's hold on this grid; the minutes of as many whistles move a little with what is in the pot. Null where it cannot be set. */
  private settableNear(holdMin: number): number | null {
    if (this.grid.includes(holdMin)) return holdMin;
    return this.h.heated.state.pot.whistle ? this.grid[this.indexOf(holdMin)]! : null;
  }

  /** Where on the grid a look is worth while: by the starch, by what makes the pieces safe, and by what makes them good. */
  private starts(release: Release, start: number): number[] {
    if (this.asked.fixed.holdMin !== undefined) return [-1];
    const byStarch = this.target ? start : 0;
    if (this.pieces === 0) return [byStarch];
    const safe = this.shortestSafe.from(byStarch, release);
    const from = safe === byStarch && !this.target ? 0 : safe;
    const first = this.at(from, release);
    if (isGood(first) || this.shortestSafe.hopeless) return [safe];
    // Without a starch there is one hill; with one its top may be short of what makes the pieces good.
    const out = this.target ? [safe] : [];
    const last = this.lastAbove(from, release, first);
    // Where no hold is long enough the longest is the nearest to it: the hill of a whistle cooker is bumpy.
    return last === from ? [safe] : [...out, firstIndex(from, last, (k) => isGood(this.at(k, release)))];
  }

  /** The longest hold whose starch alone is still worth more than a program: no piece makes up for a longer one. */
  private lastAbove(from: number, release: Release, than: Run): number {
    return lastWhole(from, this.grid.length - 1, (i) => !isBeaten(this.at(i, release, 'bare'), than));
  }

  /** Index of the hold whose doneness is nearest to what is wanted: two jumps along the known slope, then a step. */
  private indexNear(release: Release, guess: number): number {
    if (!this.target || this.asked.fixed.holdMin !== undefined) return guess;
    const perMin = Math.max(0.5, rate(this.h.setup.g.grain!.food.grain!.kinetics, this.h.heated.state.tempC));
    let i = guess;
    for (let k = 0; k < 2; k++) {
      const e = this.trial(this.grid[i]!, release).equivalentMin;
      const next = this.indexOf(this.grid[i]! + (this.target.want - e) / perMin);
      if (next === i) break;
      i = next;
    }
    return i;
  }

  /** The top for the starch alone. Where the water cannot give way its chance is flat around the reference: shorter holds are looked at too. */
  private topOf(start: number, release: Release): Run {
    const top = this.uphill(start, release, 'bare');
    if (!this.target || this.asked.fixed.holdMin !== undefined || top.chance.texture >= doubtful) return top;
    let best = top;
    for (let i = this.indexOf(top.holdMin) - 2; i >= 0; i -= 2) best = better(best, this.at(i, release, 'bare'));
    return best === top ? top : this.uphill(this.indexOf(best.holdMin), release, 'bare');
  }

  /** From a start to the top of its hill: nothing beside it is better. */
  private uphill(start: number, release: Release, depth: Depth = 'all'): Run {
    if (this.asked.fixed.holdMin !== undefined) return this.judge(this.asked.fixed.holdMin, release, depth);
    let top: Top = { i: start, run: this.at(start, release, depth) };
    let flat = 0;
    for (let direction = 1; flat < 2; direction = -direction) {
      const next = this.stride(top, direction, release, depth);
      flat = next === top ? flat + 1 : 0;
      top = next;
    }
    return top.run;
  }

  /** As far as it goes up one way: strides on the grid that double while they lead up, and halve from the first that does not. */
  private stride(from: Top, direction: number, release: Release, depth: Depth): Top {
    let top = from;
    let grows = true;
    for (let step = 1; step >= 1; step = grows ? 2 * step : step / 2) {
      const i = top.i + direction * step;
      const isBeatenAt = (less: Depth): boolean => depth !== less && isBeaten(this.at(i, release, less), top.run);
      const worth =
        this.isOnGrid(i) &&
        this.followed < mostFollowed &&
        !isBeatenAt('bare') &&
        !(depth === 'all' && isBeatenAt('slowest'));
      const next = worth && this.at(i, release, depth);
      if (next && better(top.run, next) === next) top = { i, run: next };
      else grows = false;
    }
    return top;
  }

  private isOnGrid(i: number): boolean {
    return i >= 0 && i < this.grid.length;
  }

  private indexOf(holdMin: number): number {
    const i = this.grid.findIndex((x) => x >= holdMin - 1e-9);
    if (i < 0) return this.grid.length - 1;
    return i > 0 && holdMin - this.grid[i - 1]! < this.grid[i]! - holdMin ? i - 1 : i;
  }

  private at(i: number, release: Release, depth: Depth = 'all'): Run {
    return this.judge(i < 0 ? this.asked.fixed.holdMin! : this.grid[i]!, release, depth);
  }

  private trial(holdMin: number, release: Release): Trial {
    const key = `${holdMin} ${keyOf(release)}`;
    const known = this.trials.get(key);
    if (known) return known;
    const { h } = this;
    const run = h.heated.finish(holdMin, release);
    let clock: Trial['clock'] = null;
    let e = 0;
    if (h.setup.g.grain) {
      const n = Math.max(1, Math.round(clockS / run.history.dtS));
      const temps = meansOf(starchTemps(h.setup.g, run, h.addMl, h.depthCm), n);
      const dtS = n * run.history.dtS;
      e = equivalentMin(temps, dtS, h.setup.g.grain.food.grain!.kinetics);
      clock = { temps, run: { ...run, history: { ...run.history, dtS } } };
    }
    const t: Trial = { holdMin, release, potRun: run, naturalMin: naturalMinOf(run), equivalentMin: e, clock };
    this.trials.set(key, t);
    return t;
  }

  /** One program with its liquid. */
  private judge(holdMin: number, release: Release, depth: Depth = 'all'): Run {
    const key = `${holdMin} ${keyOf(release)}`;
    const known = this.judged[depth].get(key);
    if (known) return known;
    const c = depth === 'bare' ? weighed(this.withLiquid(holdMin, release)) : this.withPieces(holdMin, release, depth);
    this.judged[depth].set(key, c);
    return c;
  }

  private withLiquid(holdMin: number, release: Release): Unweighed {
    const { h } = this;
    const { clock, ...tried } = this.trial(holdMin, release);
    let outcome: GrainOutcome | null = null;
    let addMl = this.asked.fixed.liquidMl ?? h.addMl;
    if (clock) {
      const { temps, run } = clock;
      const at = (ml: number): GrainOutcome => outcomeOf(h, run, { addMl: ml, temps })!;
      if (this.asked.fixed.liquidMl === undefined && this.asked.miss) {
        ({ addMl, outcome } = liquidFor(at, this.asked.miss, this.asked.bounds, this.lastMl));
        this.lastMl = addMl;
      } else outcome = at(addMl);
    }
    return { h, ...tried, addMl, outcome, meats: [], plants: [] };
  }

  private withPieces(holdMin: number, release: Release, depth: 'slowest' | 'all'): Run {
    const { slowest, others } = this.leading;
    if (depth === 'all') return this.following(others, this.judge(holdMin, release, 'slowest'));
    const bare = this.judge(holdMin, release, 'bare');
    return slowest ? this.following(slowest, bare) : bare;
  }

  /** The same program with more pieces followed along it. */
  private following(g: Gathered, than: Run): Run {
    const { h } = this;
    const options = { ...piecesOf(h), ways: h.ways, coarse: true };
    const meats = runMeats(g, than.potRun, { ...options, surely: this.surely });
    const plants = runPlants(g, than.potRun, options);
    this.followed += meats.length + plants.length;
    if (meats.length + plants.length === 0) return than;
    return weighed({ ...than, meats: [...than.meats, ...meats], plants: [...than.plants, ...plants] });
  }
}
