/** How papers move when the transport is used: until the same terms are dealt with, a step each, or one paper. */
export const PACES = ['amount', 'step', 'alone'] as const;
export type Pace = (typeof PACES)[number];

/** How near an estimate must be, as she judges it; empty until she has. */
export const JUDGEMENTS = ['', 'right size is enough', 'close'] as const;
export type Judgement = (typeof JUDGEMENTS)[number];

export const MAX_PAPERS = 4;
/** Most checks that a comparison keeps. */
export const MAX_CHECKS = 200;
/** Most hops of a paper, and most slips. */
export const MAX_HOPS = 40;
export const MAX_SLIPS = 20;
/** Most characters of a title, story or unit. */
export const TEXT_LIMITS = { title: 120, story: 400, unit: 40 } as const;
