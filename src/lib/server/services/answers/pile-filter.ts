import { rowNumber } from '../../platform/http/row-number';
import { PILE_GROUPS, PILE_ORDERS, type PileFilter } from './order-pile';

const MOST_TEXT = 100;

/** What an address says of how the pile is looked at: `find`, `order`, `band`, `bank` and `for`; what is none is passed over. */
export function pileFilterOf(params: Pick<URLSearchParams, 'get'>): PileFilter {
	return {
		find: (params.get('find') ?? '').slice(0, MOST_TEXT),
		order: PILE_ORDERS.find((one) => one === params.get('order')) ?? 'day',
		group: PILE_GROUPS.find((one) => one === params.get('band')) ?? null,
		bankAccountId: rowNumber(params.get('bank')),
		heldFor: params.get('for')?.slice(0, MOST_TEXT) || null
	};
}
