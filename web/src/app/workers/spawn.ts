/** Kept alone so that tests, which know no module workers, can put another in its place. */
export const spawnPlanner = (): Worker => new Worker(new URL('./planner.worker', import.meta.url), { type: 'module' });
