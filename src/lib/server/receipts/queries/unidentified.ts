import { daysBetween } from '../../../core/day/arithmetic';
import { defineLook } from '../../act/define-look';
import { activePeople } from '../../people/store/active-people';
import { answeredPile } from '../../services/answers/answers';

/** Money booked to unidentified receipts whose payer is still looked for, the oldest first, with who looks for each. */
export const lookAtUnidentified = defineLook('reader', async (db, _: null, { today }) => {
	const pile = await answeredPile(db);
	const rows = pile.receipts
		.filter((row) => row.unidentifiedActId !== null)
		.map((row) => ({
			...{ id: row.id, version: row.version, booked: row.booked, payer: row.payerName, text: row.text },
			...{ amount: row.amount, currency: row.currency, days: daysBetween(row.booked, today) },
			...{ heldFor: row.heldFor, heldBecause: row.heldBecause, actId: row.unidentifiedActId! },
			/** Whether an answer was found for it meanwhile. */
			found: ['certain', 'likely'].includes(pile.answers.get(row.id)!.band)
		}))
		.sort((a, b) => b.days - a.days || a.id - b.id);
	return { rows, people: await activePeople(db) };
});
