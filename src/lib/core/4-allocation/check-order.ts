import { append } from '../append';
import { sumOf } from '../money/add';
import type { Problem } from '../problems';
import { itemLabel } from './item-label';
import type { AllocateLine, AllocateOrder } from './allocate-order';

/** Everything that stands against an order to place money; empty when it may be done. */
export function checkOrder(order: AllocateOrder): Problem[] {
	const { receipt, currency, lines } = order;
	if (receipt && receipt.amount <= 0) return [{ code: 'not-a-credit-entry' }];
	const problems: Problem[] = [...checkCredits(order)];
	const seen = new Set<number>();
	let taken = 0;
	let credits = 0;
	for (const line of lines) {
		if (seen.has(line.item.id)) problems.push({ code: 'line-twice', item: itemLabel(line.item) });
		seen.add(line.item.id);
		append(problems, checkLine(line, order));
		if (line.item.kind === 'credit_note') credits -= line.cash;
		else taken += line.cash;
	}
	const named = lines.some((line) => line.differences.length > 0);
	if (!receipt && taken === 0 && !named && problems.length === 0) problems.push({ code: 'nothing-to-place' });
	if (credits > taken)
		problems.push({
			code: 'credit-unused',
			item: lines.find((line) => line.cash < 0)!.item.number,
			over: credits - taken,
			currency
		});
	const surplus = receipt ? sumOf(receipt.surplus, (one) => one.amount) : 0;
	const money = receipt ? receipt.amount + sumOf(receipt.fees, (fee) => fee.amount) : 0;
	const earlier = sumOf(order.credits, (credit) => credit.use);
	if (taken - credits + surplus > money + earlier)
		problems.push({
			code: 'over-receipt',
			placed: taken - credits + surplus,
			amount: money + earlier,
			currency
		});
	else if (earlier > 0 && taken - credits < earlier)
		// What is drawn from account has to go somewhere: it is on account already.
		problems.push({ code: 'earlier-credit-unused', over: earlier - (taken - credits), currency });
	return problems;
}

function checkCredits({ credits, currency, receipt, tolerance }: AllocateOrder): Problem[] {
	const problems: Problem[] = [];
	for (const credit of credits) {
		if (credit.currency !== currency)
			problems.push({
				code: 'other-currency',
				item: 'The earlier payment',
				found: credit.currency,
				want: currency
			});
		if (credit.use <= 0) problems.push({ code: 'line-not-positive', item: 'the earlier payment' });
		if (credit.use > credit.onAccount)
			problems.push({ code: 'over-credit', asked: credit.use, left: credit.onAccount, currency });
	}
	for (const { kind, amount } of [...(receipt?.fees ?? []), ...(receipt?.surplus ?? [])]) {
		if (amount <= 0) problems.push({ code: 'line-not-positive', item: 'the odd penny' });
		if (kind === 'small_difference' && tolerance !== null && amount > tolerance)
			problems.push({ code: 'over-tolerance', amount, most: tolerance, currency });
	}
	return problems;
}

function checkLine(
	{ item, cash, settles, differences }: AllocateLine,
	{ currency, tolerance }: AllocateOrder
): Problem[] {
	const problems: Problem[] = [];
	const label = itemLabel(item);
	const credit = item.kind === 'credit_note';
	if (item.currency !== currency && (settles === undefined || credit))
		problems.push({ code: 'other-currency', item: label, found: item.currency, want: currency });
	const explained = sumOf(differences, (difference) => difference.amount);
	const wrongWay = credit
		? cash >= 0 || differences.length > 0
		: cash < 0 || (cash === 0 && explained === 0) || (settles !== undefined && settles <= 0 !== cash <= 0);
	if (wrongWay || differences.some((difference) => difference.amount <= 0))
		problems.push({ code: 'line-not-positive', item: label });
	for (const { kind, amount } of differences)
		if (kind === 'small_difference' && tolerance !== null && amount > tolerance)
			problems.push({ code: 'over-tolerance', amount, most: tolerance, currency: item.currency });
	if (differences.some((one) => one.kind === 'claim') && item.kind === 'claim')
		problems.push({ code: 'claim-of-claim', item: label });
	const asked = Math.abs(settles ?? cash) + explained;
	if (asked > item.open)
		problems.push({ code: 'over-item', item: label, asked, open: item.open, currency: item.currency });
	return problems;
}
