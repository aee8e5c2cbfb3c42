import type { Minor } from '../money/minor';

/** Where an item stands, as its books say; never typed. */
export type ItemStanding = 'open' | 'part-paid' | 'settled';

export function itemStanding(total: Minor, open: Minor): ItemStanding {
	return open === 0 ? 'settled' : open < total ? 'part-paid' : 'open';
}
