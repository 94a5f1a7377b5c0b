const { sqrt } = Math;
/** Critical pressure ratio and choked-flow factor of steam, gamma 1.3 [derived]. */
const critical = 0.5457;
const choked = 0.6673;
/** Below this difference the flow is made linear, which removes the infinite slope at rest. */
const linearPa = 50;

/**
 * Mass flow through an opening from pressure `p` to `pe` (Pa) at upstream density `rho` (kg/m3), and its slope.
 * ISO 6358's elliptic law (at most 1 % off the isentropic nozzle), linear in the last 50 Pa.
 *
 * @returns `flow` in kg/(s m2) and `slope`, its derivative by p, with rho taken proportional to p
 */
export function flux(p: number, rho: number, pe: number): { flow: number; slope: number } {
  const d = p - pe;
  if (d <= 0) return { flow: 0, slope: 0 };
  if (d < linearPa) {
    const edge = flux(pe + linearPa, (rho * (pe + linearPa)) / p, pe).flow;
    return { flow: (edge * d) / linearPa, slope: edge / linearPa };
  }
  const base = choked * sqrt(p * rho);
  const r = pe / p;
  if (r <= critical) return { flow: base, slope: base / p };
  const x = (r - critical) / (1 - critical);
  const g = sqrt(1 - x * x);
  const flow = base * g;
  return { flow, slope: flow / p + (base * (x / (1 - critical)) * r) / (g * p) };
}
