import { addDays } from '../lib/core/day/arithmetic';
import type { Day } from '../lib/core/day/day';
import { add, sumOf } from '../lib/core/money/add';
import { minor } from '../lib/core/money/minor';
import { proportion } from '../lib/core/money/proportion';
import { apportion } from '../lib/core/money/apportion';
import type { NewDocument } from '../lib/server/documents/commands/issue-documents';
import { creditorReference } from './iban';
import type { Payer } from './make-customers';
import type { Chance } from './random';

const GOODS = [
	'stoneware clay, 25 bags',
	'glaze order',
	'bisque tiles, carriage',
	'kiln shelves',
	'porcelain slip',
	'earthenware clay',
	'underglaze set',
	'cones and props',
	'plaster, 10 bags',
	'throwing tools',
	'wheel service',
	'element set',
	'sieves and buckets',
	'raku tongs'
];
const KILN_SHARES = [10, 45, 45];

/** An invoice such as the firm sends: goods with 20 % tax (none abroad), now and then a kiln in three instalments. */
export function makeInvoice(
	number: string,
	payer: Payer,
	customerId: number,
	issued: Day,
	chance: Chance
): NewDocument {
	const { customer } = payer;
	const kiln = customer.currency === 'GBP' && chance.yes(0.012);
	const taxBasisPoints = customer.currency === 'GBP' ? 2000 : 0;
	const count = kiln ? 1 : chance.int(1, 3);
	const lines = Array.from({ length: count }, () => {
		const [low, high] = payer.size;
		const net = minor(kiln ? chance.int(24, 90) * 10_000 : round(chance.int(low, high) / count, chance));
		return {
			text: kiln ? 'kiln, built to order' : chance.pick(GOODS),
			net,
			taxBasisPoints,
			tax: proportion(net, taxBasisPoints, 10_000)
		};
	});
	const total = add(
		sumOf(lines, (line) => line.net),
		sumOf(lines, (line) => line.tax)
	);
	const due = addDays(issued, customer.termsDays);
	const instalments = kiln
		? apportion(total, KILN_SHARES).map((amount, i) => ({ due: addDays(issued, [0, 30, 60][i]!), amount }))
		: [{ due, amount: total }];
	const ordered = payer.words === 'order' || chance.yes(0.3);
	return {
		kind: 'invoice',
		number,
		customerId,
		issued,
		currency: customer.currency,
		lines,
		instalments,
		purchaseOrder: ordered ? `PO${chance.int(20_000, 99_999)}` : null,
		orderReference: null,
		paymentReference: payer.words === 'reference' ? creditorReference(number.replace('-', '')) : null,
		text: lines.map((line) => line.text)[0]!,
		discountBasisPoints: kiln ? null : customer.discountBasisPoints,
		discountUntil: kiln || customer.discountDays === null ? null : addDays(issued, customer.discountDays)
	};
}

/** A credit note for part of an invoice. */
export function makeCreditNote(number: string, of: NewDocument, issued: Day, chance: Chance): NewDocument {
	const net = minor(Math.max(100, Math.round((of.lines[0]!.net * chance.int(5, 40)) / 100)));
	const { taxBasisPoints } = of.lines[0]!;
	const line = {
		text: `returned, from ${of.number}`,
		net,
		taxBasisPoints,
		tax: proportion(net, taxBasisPoints, 10_000)
	};
	return {
		...of,
		kind: 'credit_note',
		number,
		issued,
		lines: [line],
		instalments: [{ due: issued, amount: add(line.net, line.tax) }],
		purchaseOrder: null,
		paymentReference: null,
		text: line.text,
		discountBasisPoints: null,
		discountUntil: null
	};
}

/** Prices as firms make them: mostly round to 50p, some to the penny. */
function round(value: number, chance: Chance): number {
	const whole = Math.max(200, Math.round(value));
	return chance.yes(0.6) ? Math.ceil(whole / 50) * 50 : whole;
}
