import { bankNumberText } from './bank-number-text';
import type { Letter } from '../../core/7-letters/letter';
import { minor } from '../../core/money/minor';
import { money, shortDay } from './format';
import { RETURN_REASONS } from './return-reasons';

/** Title, and what is said above and below the table, of a letter on paper. */
export function letterText(letter: Letter): { title: string; before: string; after: string[] } {
	const { currency } = letter;
	const inCredit = letter.kind === 'statement' && letter.owed <= 0;
	// Who owes nothing is not asked to pay.
	const after = [inCredit ? 'No payment is due.' : howToPay(letter)];
	const dated = letter.dated.map(
		(one) =>
			`Your ${one.reference} of ${money(one.amount, currency)}, dated ${shortDay(one.date)}, is held until that date and has not yet been credited.`
	);
	if (letter.kind === 'statement')
		return {
			title: letter.corrects ? 'Corrected statement of account' : 'Statement of account',
			before: `${correction(letter.corrects)}This statement shows the items open on your account at ${shortDay(letter.date)}. Payments received after that date are not included.`,
			after: [
				...dated,
				...after,
				'If anything here differs from your own records, please let us know.',
				...(letter.record
					? [`Our record stood at ${letter.record.code} on ${shortDay(letter.record.day)}.`]
					: [])
			]
		};
	const { returned } = letter;
	if (returned) {
		const what = returned.method === 'bank' ? 'payment' : returned.method;
		return {
			title: 'Returned payment',
			before: `Your ${what} of ${money(returned.amount, currency)}, received on ${shortDay(returned.paidOn)}, was returned unpaid on ${shortDay(returned.on)}: ${RETURN_REASONS[returned.reason] ?? returned.reason}. The items that it paid are therefore outstanding again, with their original due dates${returned.charge > 0 ? `, and a charge of ${money(returned.charge, currency)} has been added, due immediately` : ''}.`,
			after: [
				`Please send a replacement for the ${what}${returned.charge > 0 ? ', together with the charge' : ''}. ${howToPay(letter)}`,
				'If you believe that the bank has made a mistake, please let us know and we will take it up with them.'
			]
		};
	}
	return {
		title: 'Reminder',
		before: `According to our records, ${money(letter.late, currency)} is overdue on your account. If you have paid in the last few days, please accept our thanks and disregard this reminder.`,
		after: [
			...dated,
			...after,
			'If you dispute any of these invoices, please let us know the reason so that we can resolve it.'
		]
	};
}

function correction(corrects: Letter['corrects']): string {
	if (!corrects) return '';
	return `Our ${LETTER_NAMES[corrects.kind].toLowerCase()} of ${shortDay(corrects.date)} showed a payment against the wrong item. We have corrected this, and this statement replaces it. We apologise for the inconvenience. `;
}

/** What a letter asks for in all, minor units, and what that is called. */
export function letterSum(letter: Letter): { name: string; amount: Letter['owed'] } {
	if (letter.kind === 'reminder') return { name: 'Overdue', amount: letter.late };
	if (letter.kind === 'returned') return { name: 'Amount due', amount: letter.owed };
	return letter.owed < 0
		? { name: 'Balance in your favour', amount: minor(-letter.owed) }
		: { name: 'Balance due', amount: letter.owed };
}

/** What a kind of letter is called in a list. */
export const LETTER_NAMES: Readonly<Record<Letter['kind'], string>> = {
	statement: 'Statement',
	reminder: 'Reminder',
	returned: 'Returned payment notice'
};

/** Subject and plain text of the e-mail that carries a letter. */
export function mailText(letter: Letter): { subject: string; body: string } {
	const text = letterText(letter);
	const subject = `${text.title} ${letter.customer.code}, ${shortDay(letter.date)}: ${money(letterSum(letter).amount, letter.currency)}`;
	const body = [
		`${letter.customer.name}`,
		'',
		text.before,
		'',
		'The details are in the PDF with this message.',
		'',
		...text.after,
		'',
		letter.firm.name,
		letter.firm.phone
	];
	return { subject, body: body.join('\n') };
}

/** Where to pay to, and what to quote. */
export function howToPay({ account, quote }: Pick<Letter, 'account' | 'quote'>): string {
	if (!account) return `Please quote ${quote} with your payment.`;
	const bic = account.bic ? `, BIC ${account.bic}` : '';
	return `Please pay to ${account.bank}, ${bankNumberText(account.iban)}${bic}, and quote ${quote}.`;
}
