import type { Letter, LetterKind, Movement, PartPayment } from '../../core/7-letters/letter';
import type { Paper } from '../../core/7-letters/paper';
import type { LetterWords } from '../letters/letter-words';
import { quoteText } from '../letters/quote-text';
import { bankNumberText } from './bank-number-text';
import { bucketName } from './age-words';
import { amount, count, list, money, percent, shortDay } from './format';
import { ENGLISH_WORDINGS } from './letter-wordings';
import { RETURN_REASONS } from './return-reasons';

/** What a kind of letter is called in a list. */
export const LETTER_NAMES: Readonly<Record<LetterKind, string>> = {
	statement: 'Statement',
	reminder: 'Reminder',
	returned: 'Returned payment notice',
	thanks: 'Thank-you letter',
	copies: 'Covering letter',
	interest: 'Interest notice'
};

const PAPERS = { invoice: 'Invoice', credit_note: 'Credit note', charge: 'Charge' } as const;

const MOVEMENTS: Readonly<Record<Movement['kind'], string>> = {
	...PAPERS,
	claim: 'Claim',
	payment: 'Payment received',
	refund: 'Refund paid',
	returned: 'Payment returned unpaid',
	allowance: 'Allowance',
	'between-accounts': 'Moved between your accounts',
	correction: 'Correction'
};

const PART_PAYMENTS: Readonly<Record<PartPayment['by'], string>> = {
	payment: 'Payment',
	credit: 'Credit note',
	deduction: 'Deduction'
};

/** What letters say in British English. */
export const ENGLISH: LetterWords = {
	language: 'en',
	...{ amount, money, percent, day: (day) => shortDay(day) },
	names: LETTER_NAMES,
	correctedTitle: 'Corrected statement of account',
	wordings: ENGLISH_WORDINGS,
	shows: (letter) =>
		letter.kind === 'statement'
			? statementSays(letter)
			: letter.returned
				? returnedSays(letter, letter.returned)
				: letter.interest
					? interestSays(letter, letter.interest)
					: '',
	deducted: ({ owed, late, currency }) =>
		owed < late ? `, after ${money(late - owed, currency)} that stands to your credit has been deducted` : '',
	corrected: ({ kind, date }) =>
		`Our ${LETTER_NAMES[kind].toLowerCase()} of ${shortDay(date)} showed a payment against the wrong item. We have corrected this, and this statement replaces it. We apologise for the inconvenience.`,
	recorded: ({ code, day }) => `Our record stood at ${code} on ${shortDay(day)}.`,
	returnedWhy: (reason) => RETURN_REASONS[reason] ?? reason,
	days: (days) => count(days, 'day'),
	list,
	sumName: (letter) =>
		letter.owed < 0
			? 'Balance in your favour'
			: letter.kind === 'statement'
				? 'Balance due'
				: letter.kind === 'reminder' && letter.late > 0
					? 'Overdue'
					: 'Amount due',
	columns: {
		...{ document: 'Document', date: 'Date', due: 'Due', details: 'Details', tax: 'Tax' },
		total: (currency) => `Total ${currency}`,
		paid: (currency) => `Paid ${currency}`,
		open: (currency) => `Open ${currency}`,
		amount: (currency) => `Amount ${currency}`,
		balance: (currency) => `Balance ${currency}`,
		net: (currency) => `Net ${currency}`
	},
	facts: {
		...{ date: 'Date', account: 'Account', asAt: 'As at', period: 'Period' },
		...{ yourOrder: 'Your order', ourOrder: 'Our order' }
	},
	interest: {
		...{ from: 'From', to: 'To', days: 'Days', rate: 'Rate a year', settled: 'Paid or credited since' },
		late: (currency) => `Overdue ${currency}`,
		amount: (currency) => `Charged ${currency}`,
		...{ compensation: 'fixed compensation', correction: 'interest corrected' }
	},
	carried: { forward: 'Carried forward', brought: 'Brought forward' },
	bucket: (bucket) => bucketName(bucket),
	aged: 'Aged totals',
	rowText: (row) =>
		[
			row.text,
			row.part ? `instalment ${row.part.number} of ${row.part.of}` : '',
			row.purchaseOrder ? `your order ${row.purchaseOrder}` : '',
			row.isDisputed ? 'in dispute' : ''
		]
			.filter(Boolean)
			.join(', '),
	onAccount: 'Payment on account',
	daysLate: (days) => `${count(days, 'day')} overdue`,
	partPayment: ({ by, date }) => `${PART_PAYMENTS[by]}, ${shortDay(date)}`,
	movement: (one) => MOVEMENTS[one.kind],
	settles: (number) => `paid ${number}`,
	broughtForward: 'Balance brought forward',
	dated: (one, currency) =>
		`Your ${one.reference} of ${money(one.amount, currency)}, dated ${shortDay(one.date)}, is held until that date and has not yet been credited.`,
	pay: {
		...{ name: 'How to pay', nothing: 'No payment is due.', bank: 'Bank', account: 'Account', bic: 'BIC' },
		...{ quote: 'Please quote', code: 'Scan to pay', link: 'Pay online' },
		sentence: ({ account, reference }) => {
			const quote = quoteText(reference);
			if (!account) return `Please quote ${quote} with your payment.`;
			const bic = account.bic ? `, BIC ${account.bic}` : '';
			return `Please pay to ${account.bank}, ${bankNumberText(account.iban)}${bic}, and quote ${quote}.`;
		}
	},
	page: 'Page {page} of {pages}',
	attached: 'The details are in the PDF with this message.',
	paper: {
		title: ({ kind, number }) => `${PAPERS[kind]} ${number}`,
		after: paperSays,
		sumName: ({ kind }) => (kind === 'credit_note' ? 'To your credit' : 'To pay'),
		taxLine: (basisPoints, net) => `Tax of ${percent(basisPoints)} on ${net}`,
		noTax: 'none'
	}
};

function statementSays({ statement, date }: Letter): string {
	const to = shortDay(statement?.to ?? date);
	if (statement?.kind === 'activity' && statement.from)
		return `This statement shows everything posted to your account from ${shortDay(statement.from)} to ${to}, and what each payment settled.`;
	if (statement?.kind === 'forward' && statement.from)
		return `This statement shows the balance brought forward at ${shortDay(statement.from)}, and what was posted to your account up to ${to}.`;
	return `This statement shows the items open on your account at ${to}. Payments received after that date are not included.`;
}

function interestSays({ currency, owed }: Letter, lines: NonNullable<Letter['interest']>): string {
	const charged = lines.filter((line) => line.kind !== 'correction');
	const sum = charged.reduce((all, line) => all + line.amount, 0);
	const beside = charged.some((line) => line.kind === 'compensation') ? ' and fixed compensation' : '';
	const given = lines.some((line) => line.kind === 'correction')
		? 'A payment reached us earlier than our records first showed, so interest charged before has been corrected.'
		: '';
	const says = [
		sum > 0
			? `We have charged ${money(sum, currency)} of late-payment interest${beside} on items that were not paid when they fell due, as set out below.`
			: '',
		given,
		owed < 0 ? `${money(-owed, currency)} stands to your credit.` : ''
	];
	return says.filter(Boolean).join(' ');
}

function returnedSays({ currency }: Letter, returned: NonNullable<Letter['returned']>): string {
	const what = returned.method === 'bank' ? 'payment' : returned.method;
	const charge =
		returned.charge > 0
			? `, and a charge of ${money(returned.charge, currency)} has been added, due immediately`
			: '';
	return `Your ${what} of ${money(returned.amount, currency)}, received on ${shortDay(returned.paidOn)}, was returned unpaid on ${shortDay(returned.on)}: ${RETURN_REASONS[returned.reason] ?? returned.reason}. The items that it paid are therefore outstanding again, with their original due dates${charge}. Please send a replacement for the ${what}${returned.charge > 0 ? ', together with the charge' : ''}.`;
}

function paperSays(paper: Paper): string[] {
	const { kind, currency, instalments, discount } = paper;
	if (kind === 'credit_note')
		return ['This sum stands to your credit; please deduct it from your next payment.'];
	const [only] = instalments;
	const due =
		instalments.length === 1
			? [`Due on ${shortDay(only!.due)}.`]
			: instalments.map(
					(part, i) =>
						`Instalment ${i + 1} of ${instalments.length}: ${money(part.amount, currency)} due on ${shortDay(part.due)}.`
				);
	const early = discount
		? [
				`If you pay by ${shortDay(discount.until)}, you may deduct ${percent(discount.basisPoints)}: ${money(discount.saves, currency)}.`
			]
		: [];
	return [...due, ...early];
}
