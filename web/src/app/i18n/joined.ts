type Sections = Readonly<Record<string, Readonly<Record<string, unknown>>>>;

/** The words of the core and those of the screens, section by section: no sentence stands in both. */
export const joined = <C extends Sections, S extends Sections>(core: C, screens: S): C & S => {
  const sections = new Set([...Object.keys(core), ...Object.keys(screens)]);
  return Object.fromEntries([...sections].map((s) => [s, { ...core[s], ...screens[s] }])) as C & S;
};
