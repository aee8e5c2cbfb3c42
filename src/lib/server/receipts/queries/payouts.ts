import { mayBeSplit } from '../../../core/2-receipts/may-be-split';
import { payoutOf } from '../../../core/2-receipts/payout-of';
import { defineLook } from '../../act/define-look';
import { processorNames } from '../../firm/store/processors';
import { answeredPile } from '../../services/answers/answers';

/** So many entries that might be a payout are offered. */
const MOST = 500;

/** The entries that wait and could be split: those that look like a payout first, then the newest. */
export const lookAtPayouts = defineLook('reader', async (db, _: null) => {
	const processors = await processorNames(db);
	const { receipts } = await answeredPile(db);
	return receipts
		.filter(mayBeSplit)
		.map(({ id, booked, amount, currency, payerName, text }) => ({
			...{ id, booked, amount, currency, payerName, text },
			payout: payoutOf({ amount, payerName, text }, processors) !== null
		}))
		.sort((a, b) => Number(b.payout) - Number(a.payout) || b.id - a.id)
		.slice(0, MOST);
});
