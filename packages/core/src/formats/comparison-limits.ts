/** How papers move when the transport is used: until the same terms are dealt with, a step each, or one paper. */
export const PACES = ['amount', 'step', 'alone'] as const;
export type Pace = (typeof PACES)[number];

/** How near an estimate must be, in words that are often used; her own may be others. */
export const JUDGEMENTS = [
  'right size is enough',
  'close',
  'first figure right',
  'within a tenth',
  'safely above',
  'safely below',
] as const;

export const MAX_PAPERS = 6;
/** Most checks that a comparison keeps. */
export const MAX_CHECKS = 200;
/** Most hops of a paper, and most slips. */
export const MAX_HOPS = 40;
export const MAX_SLIPS = 20;
/** Most characters of a title, story, unit, tag, and of how near is near enough. */
export const TEXT_LIMITS = { title: 120, story: 400, unit: 40, tag: 30, judgement: 80 } as const;
/** Most estimates that are kept with computations worked before this one. */
export const MAX_EARLIER = 40;
/** Most tags of a comparison. */
export const MAX_TAGS = 12;
