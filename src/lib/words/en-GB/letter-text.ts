import type { Letter } from '../../core/7-letters/letter';
import { money, shortDay } from './format';
import { RETURN_REASONS } from './return-reasons';

/** Title, and what is said above and below the table, of a letter on paper. */
export function letterText(letter: Letter): { title: string; before: string; after: string[] } {
	const { currency } = letter;
	const after = [howToPay(letter)];
	const dated = letter.dated.map(
		(one) =>
			`Your ${one.reference} of ${money(one.amount, currency)}, dated ${shortDay(one.date)}, is held here and not yet counted.`
	);
	if (letter.kind === 'statement')
		return {
			title: letter.corrects ? 'Corrected statement of account' : 'Statement of account',
			before: `${correction(letter.corrects)}This is what was open on your account on ${shortDay(letter.date)}. Payments that reached us after that day are not yet in it.`,
			after: [
				...dated,
				...after,
				'If anything here differs from your own books, please tell us and we will look into it the same day.',
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
			before: `Your ${what} of ${money(returned.amount, currency)}, which reached us on ${shortDay(returned.paidOn)}, came back on ${shortDay(returned.on)}: ${RETURN_REASONS[returned.reason] ?? returned.reason}. What it had paid is therefore open again, due as at first${returned.charge > 0 ? `, and we have to charge ${money(returned.charge, currency)} for it, due at once` : ''}.`,
			after: [
				`Please replace the ${what}${returned.charge > 0 ? ' and add the charge' : ''}. ${howToPay(letter)}`,
				'If you think that this is a mistake of the bank, please tell us, and we will ask there.'
			]
		};
	}
	return {
		title: 'Reminder',
		before: `Our books show ${money(letter.late, currency)} past its due day. If you have paid in the last days, thank you, and please take this as settled.`,
		after: [
			...dated,
			...after,
			'If there is something wrong with one of these invoices, please tell us what it is, so that we can put it right.'
		]
	};
}

function correction(corrects: Letter['corrects']): string {
	if (!corrects) return '';
	return `Our ${LETTER_NAMES[corrects.kind].toLowerCase()} of ${shortDay(corrects.date)} showed a payment where it did not belong. We have put that right, and this takes its place; we are sorry for the trouble. `;
}

/** What a letter asks for in all, minor units, and what that is called. */
export function letterSum(letter: Letter): { name: string; amount: Letter['owed'] } {
	if (letter.kind === 'reminder') return { name: 'Past its due day', amount: letter.late };
	return { name: letter.kind === 'returned' ? 'To be paid now' : 'Owed in all', amount: letter.owed };
}

/** What a kind of letter is called in a list. */
export const LETTER_NAMES: Readonly<Record<Letter['kind'], string>> = {
	statement: 'Statement',
	reminder: 'Reminder',
	returned: 'Notice of a returned payment'
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
	return `Please pay to ${account.bank}, IBAN ${groupsOfFour(account.iban)}${bic}, and quote ${quote}.`;
}

function groupsOfFour(iban: string): string {
	return iban.replace(/(.{4})(?=.)/g, '$1 ');
}
