import type { ReceiptFacts } from '../../model/records';
import { tariffPayer } from '../gaps/tariff-payer';

/**
 * Parts a pile so that no receipt of one part bears on the answer of one in another: receipts are together that may be of a customer in
 * common, or whose payer may keep fees by one tariff. Parts stand in the order of their first receipts, receipts in that of the pile.
 * @param reach the customers whose books a receipt's answer may rest on
 */
export function groupReceipts<R extends ReceiptFacts>(
	receipts: readonly R[],
	reach: (receipt: R) => Iterable<number>
): R[][] {
	const leader = receipts.map((_, place) => place);
	const leaderOf = (place: number): number => {
		let at = place;
		while (leader[at] !== at) at = leader[at] = leader[leader[at]!]!;
		return at;
	};
	const first = new Map<number | string, number>();
	for (const [place, receipt] of receipts.entries()) {
		const payer = tariffPayer(receipt);
		for (const tie of payer === null ? reach(receipt) : [...reach(receipt), payer]) {
			const other = first.get(tie);
			if (other === undefined) first.set(tie, place);
			else {
				const [a, b] = [leaderOf(other), leaderOf(place)];
				leader[Math.max(a, b)] = Math.min(a, b);
			}
		}
	}
	const groups = new Map<number, R[]>();
	for (const [place, receipt] of receipts.entries()) {
		const at = leaderOf(place);
		const group = groups.get(at);
		if (group) group.push(receipt);
		else groups.set(at, [receipt]);
	}
	return [...groups.values()];
}
