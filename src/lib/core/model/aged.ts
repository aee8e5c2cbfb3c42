import type { Minor } from '../money/minor';

/** Buckets by days after the due day: not due (0 or fewer), 1 to 30, 31 to 60, 61 to 90, over 90. */
export const BUCKETS = ['not-due', 'to-30', 'to-60', 'to-90', 'over-90'] as const;
export type Bucket = (typeof BUCKETS)[number];

/** Open amounts of one currency by age. */
export type Aged = Readonly<Record<Bucket, Minor>>;
