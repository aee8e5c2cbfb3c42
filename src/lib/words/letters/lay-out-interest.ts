import { daysOf } from '../../core/9-interest/interest-of';
import type { Firm } from '../../core/7-letters/letter';
import type { Sheet, SheetBlock, SheetRow } from '../../core/7-letters/sheet';
import type { Day } from '../../core/day/day';
import { amount, count, money, percent, shortDay } from '../en-GB/format';
import type { InterestToWrite } from '../interest-table';
import { letterWordsOf } from './letter-words-of';
import { sheetOf } from './sheet-of';

const FIGURES = (name: string) => ({ name, figures: true });

/** Interest that would be charged, as the firm's own paper: currency by currency what each account comes to, then each account in full. */
export function layOutInterest(
	sheets: readonly InterestToWrite[],
	{ firm, through, day }: { readonly firm: Firm; readonly through: Day; readonly day: Day }
): Sheet {
	const words = letterWordsOf('en');
	const currencies = [...new Set(sheets.map((one) => one.currency))].sort();
	const title = `Late-payment interest to ${shortDay(through)}`;
	const customer = { code: count(sheets.length, 'account'), name: firm.name, address: [] };
	const sheet = sheetOf(words, { firm, day, title, customer, facts: [] });
	return {
		...sheet,
		// It goes to nobody: there is no address, and no account.
		...{ to: [], head: { ...sheet.head, sender: '' } },
		facts: [
			{ name: words.facts.date, value: words.day(day) },
			{ name: 'Accounts', value: String(sheets.length) }
		],
		blocks: [
			{ kind: 'text', text: 'Not charged yet: this is what it comes to by the terms of today.', soft: true },
			...currencies.map((currency) =>
				summary(
					currency,
					sheets.filter((one) => one.currency === currency)
				)
			),
			...sheets.flatMap(detail)
		]
	};
}

function summary(currency: string, sheets: readonly InterestToWrite[]): SheetBlock {
	let carried = 0;
	return {
		kind: 'table',
		columns: [
			...[{ name: 'Account' }, { name: 'Customer', wide: true }],
			...[FIGURES('Items'), FIGURES(`Charged ${currency}`), FIGURES(`Given back ${currency}`)],
			FIGURES(`In all ${currency}`)
		],
		rows: sheets.map(({ code, name, rows, corrections, charge, credit }) => {
			carried += charge - credit;
			const items = new Set([...rows, ...corrections].map((row) => row.itemId)).size;
			return {
				carried: amount(carried, currency),
				cells: [
					...[{ text: code }, { text: name }, { text: String(items) }],
					...[{ text: amount(charge, currency) }, { text: credit === 0 ? '' : amount(-credit, currency) }],
					{ text: amount(charge - credit, currency), strong: true }
				]
			};
		}),
		sums: {
			forward: 'Carried forward',
			brought: 'Brought forward',
			name: 'In all',
			value: money(carried, currency)
		}
	};
}

function detail({ code, name, currency, numbers, rows, corrections }: InterestToWrite): SheetBlock[] {
	let carried = 0;
	const row = (sum: number, ...texts: readonly string[]): SheetRow => {
		carried += sum;
		return {
			carried: amount(carried, currency),
			cells: [
				...texts.map((text, n) => ({ text, strong: n === 0 })),
				{ text: amount(sum, currency), strong: true }
			]
		};
	};
	const lines = [
		...rows.flatMap(({ itemId, spans, amount: sum, compensation }) => {
			const number = numbers[itemId] ?? '';
			const cells = (span: (typeof spans)[number]) => [
				...[shortDay(span.from), shortDay(span.to), String(daysOf(span))],
				...[amount(span.open, currency), percent(span.basisPoints)]
			];
			return [
				row(sum, number, ...cells(spans[0]!)),
				...spans.slice(1).map((span): SheetRow => ({
					...{ detail: true, carried: amount(carried, currency) },
					cells: ['', ...cells(span), ''].map((text) => ({ text, soft: true }))
				})),
				...(compensation > 0 ? [row(compensation, number, 'compensation', '', '', '', '')] : [])
			];
		}),
		...corrections.map((one) =>
			row(
				one.shouldBe - one.charged,
				...[numbers[one.itemId] ?? '', shortDay(one.from), shortDay(one.to), 'corrected', '', '']
			)
		)
	];
	return [
		{ kind: 'text', text: `${name}, ${code}` },
		{
			kind: 'table',
			columns: [
				...[{ name: 'Document', wide: true }, { name: 'From' }, { name: 'To' }],
				...[
					FIGURES('Days'),
					FIGURES(`Overdue ${currency}`),
					FIGURES('Rate a year'),
					FIGURES(`Interest ${currency}`)
				]
			],
			rows: lines,
			sums: {
				forward: 'Carried forward',
				brought: 'Brought forward',
				name: 'In all',
				value: money(carried, currency)
			}
		}
	];
}
