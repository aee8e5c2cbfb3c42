import type { Content, TableCell } from 'pdfmake/interfaces';
import type { Paper } from '../../core/7-letters/paper';
import { amount, money, percent, shortDay, paperText } from '../../words';
import { address, headCell, LEDGER, pagePdf, SOFT, sumLine } from '../platform/pdf/page-layout';

/** An invoice, credit note or charge as PDF on A4; the same document gives the same bytes. */
export async function paperPdf(paper: Paper): Promise<Buffer> {
	const { firm, customer, currency } = paper;
	const text = paperText(paper);
	const beside = [
		shortDay(paper.issued),
		`Account ${customer.code}`,
		paper.purchaseOrder && `Your order ${paper.purchaseOrder}`,
		paper.orderReference && `Our order ${paper.orderReference}`
	].filter(Boolean);
	return pagePdf(firm, paper.issued, text.title, [
		...address(customer, text.title, beside.join('\n')),
		{ text: '', margin: [0, 4, 0, 8] },
		table(paper),
		sumLine(paper.kind === 'credit_note' ? 'To your credit' : 'To pay', money(paper.total, currency)),
		...text.after.map((line): Content => ({ text: line, margin: [0, 0, 0, 6] })),
		{ text: firm.name, margin: [0, 14, 0, 0] }
	]);
}

function table(paper: Paper): Content {
	const { currency } = paper;
	const right = (text: string, soft = false): TableCell => ({
		text,
		alignment: 'right',
		...(soft ? { color: SOFT } : {})
	});
	const body: TableCell[][] = [
		[headCell('What'), headCell('Tax', true), headCell(`Net ${currency}`, true)],
		...paper.lines.map((line): TableCell[] => [
			line.text,
			right(line.taxBasisPoints ? percent(line.taxBasisPoints) : 'none', true),
			right(amount(line.net, currency))
		]),
		...paper.taxes
			.filter((one) => one.taxBasisPoints > 0)
			.map((one): TableCell[] => [
				{
					text: `Tax of ${percent(one.taxBasisPoints)} on ${amount(one.net, currency)}`,
					color: SOFT
				},
				'',
				right(amount(one.tax, currency))
			])
	];
	return { table: { headerRows: 1, dontBreakRows: true, widths: ['*', 52, 76], body }, layout: LEDGER };
}
