import { join } from 'node:path';
import { createRequire } from 'node:module';
import { dirname } from 'node:path';
import pdfmake from 'pdfmake';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import { BUCKETS } from '../../core/model/aged';
import type { Letter } from '../../core/7-letters/letter';
import { amount, money, shortDay } from '../../words/format';
import { letterText } from '../../words/letter-text';

const INK = '#24201B';
const SOFT = '#6F665A';
const RULE = '#B9AC97';
const COPPER = '#A4521F';
const BUCKET_NAMES = {
	'not-due': 'Not due',
	'to-30': '1–30 days',
	'to-60': '31–60',
	'to-90': '61–90',
	'over-90': 'Over 90'
} as const;

let ready = false;
/** Roboto comes with the PDF library and has Latin, Greek and Cyrillic, which names on letters need. */
function setUp(): void {
	if (ready) return;
	const fonts = join(dirname(createRequire(import.meta.url).resolve('pdfmake/package.json')), 'fonts/Roboto');
	const face = (name: string) => join(fonts, `Roboto-${name}.ttf`);
	pdfmake.setFonts({
		Roboto: {
			normal: face('Regular'),
			bold: face('Medium'),
			italics: face('Italic'),
			bolditalics: face('MediumItalic')
		}
	});
	pdfmake.setUrlAccessPolicy(() => false);
	pdfmake.setLocalAccessPolicy((path: string) => path.startsWith(fonts));
	ready = true;
}

/** A letter as PDF on A4; the same letter gives the same bytes. */
export async function letterPdf(letter: Letter): Promise<Buffer> {
	setUp();
	return pdfmake.createPdf(definition(letter)).getBuffer();
}

function definition(letter: Letter): TDocumentDefinitions {
	const text = letterText(letter);
	const { currency, firm, customer } = letter;
	const sum = letter.kind === 'statement' ? letter.owed : letter.late;
	return {
		pageSize: 'A4',
		pageMargins: [56, 56, 56, 64],
		info: {
			title: `${text.title} ${customer.code}`,
			author: firm.name,
			creationDate: new Date(`${letter.date}T00:00:00Z`)
		},
		defaultStyle: { font: 'Roboto', fontSize: 9.5, color: INK, lineHeight: 1.2 },
		footer: (page: number, pages: number): Content => ({
			margin: [56, 16, 56, 0],
			fontSize: 7.5,
			color: SOFT,
			columns: [
				{ text: `${firm.name} · ${firm.registration}` },
				{ text: `Page ${page} of ${pages}`, alignment: 'right', width: 80 }
			]
		}),
		content: [
			{
				columns: [
					[
						{ text: firm.name, bold: true, fontSize: 14 },
						{ text: firm.address.join(', '), color: SOFT, fontSize: 8 }
					],
					{ text: [firm.phone, '\n', firm.email], alignment: 'right', color: SOFT, fontSize: 8, width: 160 }
				]
			},
			rule(6, 22),
			{ text: [customer.name, ...customer.address].join('\n'), margin: [0, 0, 0, 22] },
			{
				columns: [
					{ text: text.title, fontSize: 18, bold: true },
					{ text: `${shortDay(letter.date)}\nAccount ${customer.code}`, alignment: 'right', width: 140 }
				]
			},
			{ text: text.before, margin: [0, 8, 60, 12] },
			table(letter),
			{
				columns: [
					{
						text: letter.kind === 'statement' ? 'Owed in all' : 'Past its due day',
						bold: true,
						fontSize: 11
					},
					{ text: money(sum, currency), alignment: 'right', bold: true, fontSize: 13, width: 160 }
				],
				margin: [0, 10, 0, 14]
			},
			...(letter.kind === 'statement' ? [ageing(letter)] : []),
			...text.after.map((line): Content => ({ text: line, margin: [0, 0, 0, 6] })),
			{ text: firm.name, margin: [0, 14, 0, 0] }
		]
	};
}

function rule(above: number, below: number): Content {
	const line = (y: number) => ({
		type: 'line' as const,
		x1: 0,
		y1: y,
		x2: 483,
		y2: y,
		lineWidth: 0.6,
		lineColor: RULE
	});
	return { canvas: [line(0), line(2.4)], margin: [0, above, 0, below] };
}

const layout = {
	hLineWidth: (i: number) => (i === 0 ? 0 : 0.5),
	vLineWidth: () => 0,
	hLineColor: () => RULE,
	paddingLeft: (i: number) => (i === 0 ? 0 : 5),
	paddingRight: () => 5,
	paddingTop: () => 3.5,
	paddingBottom: () => 3
};

function table(letter: Letter): Content {
	const { currency } = letter;
	const head = (text: string, right = false): TableCell => ({
		text,
		color: SOFT,
		fontSize: 8,
		alignment: right ? 'right' : 'left'
	});
	const body: TableCell[][] = [
		[
			head('Document'),
			head('Issued'),
			head('Due'),
			head(`Total ${currency}`, true),
			head(`Open ${currency}`, true)
		]
	];
	for (const row of letter.rows) {
		const late = row.late > 0 ? [{ text: `  ${row.late} days`, color: COPPER, fontSize: 8 }] : [];
		body.push([
			{
				text: [
					{ text: row.number, bold: true },
					{ text: row.text ? `  ${row.text}` : '', color: SOFT },
					{ text: row.partPaid ? '\npart paid, the remainder is open' : '', color: SOFT, fontSize: 8 }
				]
			},
			shortDay(row.issued, letter.date),
			{ text: [row.due ? shortDay(row.due, letter.date) : '', ...late] },
			{ text: amount(row.total, currency), alignment: 'right' },
			{ text: amount(row.open, currency), alignment: 'right', bold: true }
		]);
	}
	return { table: { headerRows: 1, dontBreakRows: true, widths: ['*', 52, 84, 66, 66], body }, layout };
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
		layout,
		margin: [0, 0, 0, 14]
	};
}
