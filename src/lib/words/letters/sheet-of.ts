import type { Firm, HowToPay } from '../../core/7-letters/letter';
import type { Sheet, SheetFact, SheetPay } from '../../core/7-letters/sheet';
import type { Day } from '../../core/day/day';
import { sortCodeAndNumber } from '../../core/text/bank-number';
import type { LetterWords } from './letter-words';
import { quoteText } from './quote-text';

/** What every paper of the firm has: its head, to whom it goes, and what stands at the foot. */
export function sheetOf(
	words: LetterWords,
	paper: {
		readonly firm: Firm;
		readonly customer: { readonly code: string; readonly name: string; readonly address: readonly string[] };
		readonly day: Day;
		readonly title: string;
		readonly facts: readonly (SheetFact | null)[];
	}
): Omit<Sheet, 'blocks'> {
	const { firm, customer, day, title } = paper;
	return {
		language: words.language,
		title,
		author: firm.name,
		day,
		head: {
			name: firm.name,
			address: firm.address,
			contact: [firm.phone, firm.email].filter(Boolean),
			sender: [firm.name, ...firm.address].join(' · '),
			logo: firm.logo ?? null
		},
		to: [customer.name, ...customer.address],
		facts: [
			{ name: words.facts.date, value: words.day(day) },
			{ name: words.facts.account, value: customer.code },
			...paper.facts.filter((one) => one !== null)
		],
		running: [title, customer.code, customer.name, words.day(day)].join(' · '),
		footer: [firm.name, firm.registration].filter(Boolean).join(' · '),
		pages: words.page
	};
}

/** Where to pay to, as a block of its own. */
export function payBlock({ pay: says }: LetterWords, pay: HowToPay): SheetPay {
	const { account } = pay;
	const british = account && sortCodeAndNumber(account.iban);
	const number = british
		? `${british.sortCode}  ${british.account}`
		: (account?.iban.replace(/(.{4})(?=.)/g, '$1 ') ?? '');
	return {
		kind: 'pay',
		name: says.name,
		says: '',
		lines: [
			...(account ? [{ name: says.bank, value: account.bank }] : []),
			...(account
				? [{ name: /^[A-Z]{2}\d{2}/.test(account.iban) ? 'IBAN' : says.account, value: number }]
				: []),
			...(account?.bic ? [{ name: says.bic, value: account.bic }] : []),
			{ name: says.quote, value: quoteText(pay.reference) }
		],
		link: pay.link ? { url: pay.link, text: says.link } : null,
		code: pay.epc ? { text: pay.epc, says: says.code } : null
	};
}
