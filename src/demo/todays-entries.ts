import type { Day } from '../lib/core/day/day';
import { minor } from '../lib/core/money/minor';
import { toDecimal } from '../lib/core/money/to-decimal';
import type { Payer } from './make-customers';
import type { Owed } from './owed';
import type { Year } from './year';

/**
 * The bank's entries of the last two days, one of each thing that a morning brings: numbers named, references, amounts
 * alone, several invoices, too little, too much, a council for its school, one transfer with several payments, a number
 * that is settled already, a stranger, interest, a charge. They wait to be brought in.
 */
export async function todaysEntries(
	year: Year,
	[yesterday, today]: readonly [Day, Day],
	paidIn: number
): Promise<{
	/** The processor's report. */
	report: { name: string; text: string };
	/** What an account said in an advice that it pays, in one transfer without words. */
	announced: { code: string; source: string };
}> {
	const hazel = year.payers.find((one) => one.customer.name === 'Hazel Hill Pottery')!;
	const council = year.payers.find((one) => one.customer.name === 'Mallory Council')!;
	// Kept for the cases that need them.
	const used = new Set<string>([hazel.customer.code, council.customer.code]);
	const open = (payer: Payer) => (year.owed.get(payer.customer.code) ?? []).filter((item) => item.open > 0);
	const sum = (items: readonly Owed[]) => items.reduce((total, item) => total + item.open, 0);
	/** The next account, not used yet, that has what is asked for. */
	const next = (fits: (payer: Payer, items: Owed[]) => boolean): { payer: Payer; items: Owed[] } => {
		const payer = year.payers.find(
			(one) => !used.has(one.customer.code) && open(one).length > 0 && fits(one, open(one))
		);
		if (!payer) throw new Error('the demo books have no account left for this case');
		used.add(payer.customer.code);
		return { payer, items: open(payer) };
	};
	const known = (payer: Payer) =>
		payer.customer.payerAccounts.length > 0 &&
		payer.customer.parentCode === null &&
		payer.customer.currency === 'GBP';
	const numbers = (items: readonly Owed[]) => [...new Set(items.map((item) => item.number))].join(' ');

	for (let n = 0; n < 14; n++) {
		const { payer, items } = next((one) => known(one));
		const paid = items.slice(0, n % 3 === 2 ? 3 : 1);
		year.transfer(payer, sum(paid), `${n % 2 ? 'INV ' : ''}${numbers(paid)}`, n < 7 ? yesterday : today);
	}
	for (let n = 0; n < 3; n++) {
		const { payer, items } = next(
			(one, list) => known(one) && list.some((item) => item.document.paymentReference)
		);
		const item = items.find((one) => one.document.paymentReference)!;
		year.transfer(payer, item.open, '', yesterday, item.document.paymentReference!);
	}
	for (let n = 0; n < 4; n++) {
		const { payer, items } = next(
			(one, list) =>
				known(one) && list.length >= 2 && new Set(list.map((item) => item.open)).size === list.length
		);
		year.transfer(payer, sum(items.slice(0, n < 2 ? 1 : 2)), 'PAYMENT', today);
	}
	for (let n = 0; n < 3; n++) {
		const { payer, items } = next(
			(one) => !known(one) && one.customer.parentCode === null && one.customer.currency === 'GBP'
		);
		year.transfer(payer, items[0]!.open, `${items[0]!.number} with thanks`, today);
	}
	const euro = [
		next((one) => one.customer.currency === 'EUR'),
		next((one) => one.customer.currency === 'EUR')
	];
	year.transfer(euro[0]!.payer, euro[0]!.items[0]!.open, `Rechnung ${euro[0]!.items[0]!.number}`, today);
	year.transfer(
		euro[1]!.payer,
		euro[1]!.items[0]!.open - 1_200,
		`facture ${euro[1]!.items[0]!.number}`,
		today
	);

	const crossing = next((one, list) => one.customer.currency === 'EUR' && list[0]!.open < 400_000);
	year.banks['GBP']!.add({
		amount: Math.round(crossing.items[0]!.open * 0.823),
		booked: today,
		details: [
			{
				amount: Math.round(crossing.items[0]!.open * 0.823),
				name: crossing.payer.bankName,
				account: crossing.payer.account,
				text: `${crossing.items[0]!.number} paid in GBP`
			}
		]
	});

	const breakage = open(hazel).slice(0, 3);
	if (breakage.length)
		year.transfer(hazel, sum(breakage) - 4_540, `INV ${numbers(breakage)} LESS BREAKAGE`, yesterday);
	const long = next((one, list) => known(one) && list.length > 1);
	year.transfer(long.payer, long.items[0]!.open + 900, long.items[0]!.number, today);
	const part = next((one, list) => known(one) && list[0]!.open > 60_000);
	year.transfer(part.payer, 50_000, `on account of ${part.items[0]!.number}`, today);
	const round = next((one, list) => known(one) && list.length > 2);
	year.transfer(round.payer, 25_000, 'on account please, order 7714', yesterday);
	const twice = next((one) => known(one));
	year.transfer(
		twice.payer,
		twice.items[0]!.open + 7_350,
		`${twice.items[0]!.number} ${year.settled.at(-20)!}`,
		today
	);

	const school = year.payers.find(
		(one) => one.customer.parentCode === council.customer.code && open(one).length > 0
	);
	if (school)
		year.transfer(
			council,
			open(school)[0]!.open,
			`${open(school)[0]!.number} ${school.customer.name}`,
			today
		);
	const batch = [next((one) => known(one)), next((one) => known(one)), next((one) => known(one))];
	const details = batch.map(({ payer, items }) => ({
		amount: items[0]!.open,
		name: payer.bankName,
		account: payer.account,
		text: items[0]!.number
	}));
	year.banks['GBP']!.add({
		amount: details.reduce((total, one) => total + one.amount, 0),
		booked: today,
		info: 'BULK CREDIT 3 ITEMS',
		details
	});
	const other = (amount: number, name: string, text: string) =>
		year.banks['GBP']!.add({
			amount,
			booked: today,
			details: [{ amount: Math.abs(amount), name, account: null, text }]
		});
	// Of five or more it pays every other one, and its transfer does not say which.
	const saying = next((one, list) => known(one) && list.length >= 5);
	const said = saying.items.filter((_, i) => i % 2 === 0).slice(0, 4);
	year.transfer(saying.payer, sum(said), 'FASTER PAYMENT', today);
	const source = said.map((item) => `${item.number}  ${toDecimal(minor(item.open), 'GBP')}`).join('\n');
	other(paidIn, 'ASHLOCK KILN & CLAY', 'CHEQUES PAID IN');
	const cards = Array.from({ length: 5 }, () => next((one) => known(one)));
	const rows = cards.map(({ payer, items }) => {
		const gross = items[0]!.open;
		const fee = Math.round(gross * 0.014) + 20;
		return { name: payer.customer.name, number: items[0]!.number, gross, fee };
	});
	other(
		rows.reduce((total, row) => total + row.gross - row.fee, 0),
		'PAYLOOM LTD',
		'PAYOUT 5 PAYMENTS'
	);
	other(8_041, 'MRS L TREVENA', 'pots, thank you');
	// A bookkeeper pays for two of her clients and names neither.
	const clients = [next((one) => known(one)), next((one) => known(one))];
	other(clients[0]!.items[0]!.open + clients[1]!.items[0]!.open, 'CORNCRAKE BOOKKEEPING', 'FOR OUR CLIENTS');
	other(1_264, 'Mere & Marches Bank', 'INTEREST OCTOBER');
	other(-1_850, 'Mere & Marches Bank', 'CHARGES OCTOBER');
	other(-214_500, 'Feldspar Freight', 'our order 7741');
	const pounds = (pence: number) => toDecimal(minor(pence), 'GBP');
	const lines = rows.map((row) =>
		[yesterday, `"${row.name}"`, row.number, pounds(row.gross), pounds(row.fee)].join(',')
	);
	return {
		report: {
			name: 'payloom-payout-2026-10-30.csv',
			text: ['date,customer name,reference,gross,fee', ...lines, ''].join('\n')
		},
		announced: { code: saying.payer.customer.code, source }
	};
}
