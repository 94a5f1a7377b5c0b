/** What a sauce is bound with. */
export const binders = ['corn', 'potato', 'tapioca', 'flour'] as const;
export type Binder = (typeof binders)[number];
/** Where a kitchen says nothing, and in plans that say nothing [common practice]. */
export const usualBinder: Binder = 'corn';
