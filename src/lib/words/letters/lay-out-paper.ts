import type { Paper } from '../../core/7-letters/paper';
import type { Sheet, SheetBlock, SheetRow } from '../../core/7-letters/sheet';
import { letterWordsOf } from './letter-words-of';
import { payBlock, sheetOf } from './sheet-of';

/** An invoice, credit note or charge as it is printed, in its customer's language. */
export function layOutPaper(paper: Paper): Sheet {
	const words = letterWordsOf(paper.language);
	const { columns, facts } = words;
	const { currency } = paper;
	let carried = 0;
	const lines = paper.lines.map((line): SheetRow => {
		carried += line.net;
		return {
			carried: words.amount(carried, currency),
			cells: [
				{ text: line.text },
				{
					text: line.taxBasisPoints ? words.percent(line.taxBasisPoints) : words.paper.noTax,
					soft: true
				},
				{ text: words.amount(line.net, currency) }
			]
		};
	});
	const taxes = paper.taxes
		.filter((one) => one.taxBasisPoints > 0)
		.map((one): SheetRow => {
			carried += one.tax;
			return {
				carried: words.amount(carried, currency),
				cells: [
					{ text: words.paper.taxLine(one.taxBasisPoints, words.amount(one.net, currency)), soft: true },
					{ text: '' },
					{ text: words.amount(one.tax, currency) }
				]
			};
		});
	const text = (one: string): SheetBlock => ({ kind: 'text', text: one });
	return {
		...sheetOf(words, {
			...{ firm: paper.firm, customer: paper.customer, day: paper.issued },
			title: words.paper.title(paper),
			facts: [
				paper.purchaseOrder ? { name: facts.yourOrder, value: paper.purchaseOrder } : null,
				paper.orderReference ? { name: facts.ourOrder, value: paper.orderReference } : null
			]
		}),
		blocks: [
			{
				kind: 'table',
				columns: [
					{ name: columns.details, wide: true },
					{ name: columns.tax, figures: true },
					{ name: columns.net(currency), figures: true }
				],
				rows: [...lines, ...taxes],
				sums: {
					...words.carried,
					name: words.paper.sumName(paper),
					value: words.money(paper.total, currency)
				}
			},
			...words.paper.after(paper).map(text),
			...(paper.kind === 'credit_note' ? [] : [payBlock(words, paper.pay)]),
			text(paper.firm.name)
		]
	};
}
