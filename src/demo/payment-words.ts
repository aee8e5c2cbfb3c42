import type { Payer } from './make-customers';
import type { Owed } from './owed';
import type { Chance } from './random';

/** What a payer writes on a payment for these items, as is their way. */
export function paymentWords(payer: Payer, items: readonly Owed[], chance: Chance): string {
	const numbers = [...new Set(items.map((item) => item.number))];
	if (payer.words === 'number')
		return chance.pick(['', 'INV ', 'Invoice ', 'Re ']) + numbers.join(chance.pick([' ', ', ', ' + ']));
	if (payer.words === 'bare') return numbers.map((number) => number.replace('AK-', '')).join('/');
	if (payer.words === 'order' && items[0]!.document.purchaseOrder)
		return items.map((item) => item.document.purchaseOrder ?? item.number).join(' ');
	return chance.pick(['BACS', 'your account', 'PAYMENT', 'clay', 'thank you']);
}
