import { ambientPa } from '../water/atmosphere';
import { saturationC, saturationPa } from '../water/saturation';
import { airGasJPerKgK, steamDensity, waterJPerKgK } from '../water/steam';
import type { Placement } from '../water/surface';
import type { PotProfile } from './profile';

/** Food that follows the pot's temperature at once: liquid, grain, chopped vegetables. */
export interface ThinItem {
  massKg: number;
  cpJPerKgK: number;
  /** water, kg/kg */
  water: number;
  densityKgPerM3: number;
  tempC: number;
}

/** Thick pieces that lag behind the pot with a time constant. */
export interface SlowItem {
  massKg: number;
  cpJPerKgK: number;
  tauS: number;
  densityKgPerM3: number;
  tempC: number;
  /** what its surface sees; without it the surface is perfect */
  surface?: { place: Placement; /** half thickness over conductivity, m2K/W */ lOverK: number };
}

export interface Load {
  thin: ThinItem[];
  slow: SlowItem[];
  /** temperatures of the pot itself when the lid closes */
  wallC: number;
  baseC: number;
  lidC: number;
}

/** Steam lost, kg, by the way it went. */
export interface SteamLost {
  purge: number;
  leak: number;
  relief: number;
  quick: number;
  open: number;
}

/**
 * The pot at one moment. Plain numbers and one typed array, so that a clone is cheap: the search keeps a clone for
 * every half minute of hold and branches the release from there.
 */
export class PotState {
  timeS = 0;
  /** fast lump: liquid, thin food, inner wall, head-space steam */
  tempC = 0;
  baseC: number;
  lidC: number;
  slowC: Float64Array;
  airKg = 0;
  /** water of the fast lump including the vapour above it */
  waterKg = 0;
  gauge = 0;
  /** saturation pressure at `tempC`, Pa, kept from the last look at the gauge: the next step begins with it */
  satPa = 0;
  pinUp = false;
  quickOpen = false;
  whistleOpen = false;
  whistles = 0;
  dry = false;
  /** how fast the food warmed in the last step, K/s: it tells the next where its middle lies */
  rateKPerS = 0;
  /** the relay of an on/off controller */
  heaterOn = true;
  heaterJ = 0;
  lossJ = 0;
  steamOutJ = 0;
  lost: SteamLost = { purge: 0, leak: 0, relief: 0, quick: 0, open: 0 };

  readonly ambientPa: number;
  /** heat capacity of everything in the fast lump but its water, J/K */
  readonly dryJPerK: number;
  readonly headM3: number;
  readonly fill: number;
  readonly slowJPerK: Float64Array;
  readonly slowTauS: Float64Array;
  readonly slowSurface: readonly SlowItem['surface'][];

  constructor(
    readonly pot: PotProfile,
    readonly altitudeM: number,
    from: Load | PotState,
  ) {
    if (from instanceof PotState) {
      this.ambientPa = from.ambientPa;
      this.headM3 = from.headM3;
      this.fill = from.fill;
      this.dryJPerK = from.dryJPerK;
      this.baseC = from.baseC;
      this.lidC = from.lidC;
      this.slowC = from.slowC.length > 0 ? from.slowC.slice() : from.slowC;
      this.slowJPerK = from.slowJPerK;
      this.slowTauS = from.slowTauS;
      this.slowSurface = from.slowSurface;
      return;
    }
    const load = from;
    this.ambientPa = ambientPa(altitudeM);
    let heat = pot.wallJPerK;
    let heatTemp = pot.wallJPerK * load.wallC;
    let volume = 0;
    for (const i of load.thin) {
      heat += i.massKg * i.cpJPerKgK;
      heatTemp += i.massKg * i.cpJPerKgK * i.tempC;
      this.waterKg += i.massKg * i.water;
      volume += i.massKg / i.densityKgPerM3;
    }
    for (const s of load.slow) volume += s.massKg / s.densityKgPerM3;
    const total = pot.litres / 1000;
    this.headM3 = Math.max(0.05 * total, total - volume);
    this.fill = 1 - this.headM3 / total;
    this.dryJPerK = heat - waterJPerKgK * this.waterKg;
    this.baseC = load.baseC;
    this.lidC = load.lidC;
    this.slowC = Float64Array.from(load.slow, (s) => s.tempC);
    this.slowJPerK = Float64Array.from(load.slow, (s) => s.massKg * s.cpJPerKgK);
    this.slowTauS = Float64Array.from(load.slow, (s) => s.tauS);
    this.slowSurface = load.slow.map((s) => s.surface);
    this.tempC = heatTemp / heat;
    this.closeLid(heat);
    this.gaugePa();
  }

  /** Head space saturated at the food's temperature, the rest of it air; the vapour's heat is charged to the food. */
  private closeLid(heatJPerK: number): void {
    this.tempC = Math.min(this.tempC, saturationC(this.ambientPa) - 0.01);
    const ps = saturationPa(this.tempC);
    const vapourKg = steamDensity(this.tempC, ps) * this.headM3;
    this.tempC -= (vapourKg * 2.4e6) / heatJPerK;
    this.airKg = ((this.ambientPa - saturationPa(this.tempC)) * this.headM3) / (airGasJPerKgK * (this.tempC + 273.15));
  }

  /** Pressure above the room, Pa, from temperature and air. `gauge` keeps the value of the last step. */
  gaugePa(): number {
    const k = this.tempC + 273.15;
    this.satPa = saturationPa(this.tempC);
    return this.satPa + (this.airKg * airGasJPerKgK * k) / this.headM3 - this.ambientPa;
  }

  /** A copy with the same hidden class as its original: the step is compiled once for both. */
  clone(): PotState {
    const c = new PotState(this.pot, this.altitudeM, this);
    c.timeS = this.timeS;
    c.tempC = this.tempC;
    c.baseC = this.baseC;
    c.lidC = this.lidC;
    c.airKg = this.airKg;
    c.waterKg = this.waterKg;
    c.gauge = this.gauge;
    c.satPa = this.satPa;
    c.pinUp = this.pinUp;
    c.quickOpen = this.quickOpen;
    c.whistleOpen = this.whistleOpen;
    c.whistles = this.whistles;
    c.dry = this.dry;
    c.rateKPerS = this.rateKPerS;
    c.heaterOn = this.heaterOn;
    c.heaterJ = this.heaterJ;
    c.lossJ = this.lossJ;
    c.steamOutJ = this.steamOutJ;
    c.lost = { ...this.lost };
    return c;
  }
}
