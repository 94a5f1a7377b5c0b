/** What a sauce is bound with. */
export const binders = ['corn', 'potato', 'tapioca', 'flour'] as const;
export type Binder = (typeof binders)[number];
