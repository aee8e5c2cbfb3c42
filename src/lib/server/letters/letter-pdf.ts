import type { Content, TableCell } from 'pdfmake/interfaces';
import { BUCKETS } from '../../core/model/aged';
import type { Letter } from '../../core/7-letters/letter';
import { amount, count, money, shortDay, letterSum, letterText } from '../../words';
import { address, COPPER, headCell, LEDGER, pagePdf, SOFT, sumLine } from '../platform/pdf/page-layout';

const BUCKET_NAMES = {
	'not-due': 'Not due',
	'to-30': '1–30 days',
	'to-60': '31–60',
	'to-90': '61–90',
	'over-90': 'Over 90'
} as const;

/** A letter as PDF on A4; the same letter gives the same bytes. */
export async function letterPdf(letter: Letter): Promise<Buffer> {
	const text = letterText(letter);
	const { currency, firm, customer } = letter;
	const sum = letterSum(letter);
	return pagePdf(firm, letter.date, `${text.title} ${customer.code}`, [
		...address(customer, text.title, `${shortDay(letter.date)}\nAccount ${customer.code}`),
		{ text: text.before, margin: [0, 8, 60, 12] },
		table(letter),
		sumLine(sum.name, money(sum.amount, currency)),
		...(letter.kind === 'statement' ? [ageing(letter)] : []),
		...text.after.map((line): Content => ({ text: line, margin: [0, 0, 0, 6] })),
		{ text: firm.name, margin: [0, 14, 0, 0] }
	]);
}

function table(letter: Letter): Content {
	const { currency } = letter;
	const body: TableCell[][] = [
		[
			headCell('Document'),
			headCell('Issued'),
			headCell('Due'),
			headCell(`Total ${currency}`, true),
			headCell(`Open ${currency}`, true)
		]
	];
	for (const row of letter.rows) {
		const late = row.late > 0 ? [{ text: `  ${count(row.late, 'day')}`, color: COPPER, fontSize: 8 }] : [];
		body.push([
			{
				text: [
					{ text: row.number, bold: true },
					{ text: row.text ? `  ${row.text}` : '', color: SOFT },
					{ text: row.partPaid ? '\npart paid; the balance is shown' : '', color: SOFT, fontSize: 8 }
				]
			},
			shortDay(row.issued, letter.date),
			{ text: [row.due ? shortDay(row.due, letter.date) : '', ...late] },
			{ text: amount(row.total, currency), alignment: 'right' },
			{ text: amount(row.open, currency), alignment: 'right', bold: true }
		]);
	}
	return {
		table: { headerRows: 1, dontBreakRows: true, widths: ['*', 52, 84, 66, 66], body },
		layout: LEDGER
	};
}

function ageing(letter: Letter): Content {
	const cells = (make: (bucket: (typeof BUCKETS)[number]) => string, color?: string): TableCell[] =>
		BUCKETS.map((bucket) => ({ text: make(bucket), alignment: 'right', fontSize: 8.5, color }));
	return {
		table: {
			widths: BUCKETS.map(() => '*'),
			body: [
				cells((bucket) => BUCKET_NAMES[bucket], SOFT),
				cells((bucket) => amount(letter.aged[bucket], letter.currency))
			]
		},
		layout: LEDGER,
		margin: [0, 0, 0, 14]
	};
}
