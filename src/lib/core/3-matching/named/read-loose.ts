import type { OpenItem, ReceiptFacts } from '../../model/records';
import type { Payer } from '../payer/find-payer';
import { signedOpen } from '../answering/lines-for';
import type { MatchIndex } from '../match-index';

/** A piece of the text that names a document, or may: each candidate is a document's open items. */
export interface Piece {
	readonly from: number;
	readonly to: number;
	readonly candidates: readonly (readonly OpenItem[])[];
}

/** More steps are not taken to read a shortened list. */
const MOST_STEPS = 50_000;

/**
 * Chooses for each piece one of its candidates so that all of it, with what is named plainly, comes to the amount; null where
 * no choice or more than one does, or there are too many. A document is taken once.
 */
export function readLoose(
	loose: readonly Piece[],
	fixed: readonly OpenItem[],
	targets: ReadonlySet<number>
): (readonly OpenItem[])[] | null {
	const worth = (items: readonly OpenItem[]) => items.reduce((sum, item) => sum + signedOpen(item), 0);
	// What the pieces from each place on may add, at the least and at the most.
	const least = [0];
	const most = [0];
	for (const { candidates } of [...loose].reverse()) {
		const worths = candidates.map(worth);
		least.unshift(least[0]! + Math.min(...worths));
		most.unshift(most[0]! + Math.max(...worths));
	}
	const [low, high] = [Math.min(...targets), Math.max(...targets)];
	let steps = 0;
	const taken = new Set(fixed.map((item) => item.documentId));
	const found = new Map<string, (readonly OpenItem[])[]>();
	const walk = (at: number, sum: number, chosen: (readonly OpenItem[])[]) => {
		if (found.size > 1 || ++steps > MOST_STEPS) return;
		if (sum + least[at]! > high || sum + most[at]! < low) return;
		if (at === loose.length) {
			// The same documents in another order are the same reading.
			const key = chosen.map((items) => items[0]!.documentId).sort((a, b) => a - b);
			if (targets.has(sum)) found.set(key.join(), [...chosen]);
			return;
		}
		for (const candidate of loose[at]!.candidates) {
			const id = candidate[0]?.documentId;
			if (id === undefined) {
				walk(at + 1, sum, chosen);
				continue;
			}
			if (taken.has(id)) continue;
			taken.add(id);
			walk(at + 1, sum + worth(candidate), [...chosen, candidate]);
			taken.delete(id);
		}
	};
	walk(0, worth(fixed), []);
	return found.size === 1 && steps <= MOST_STEPS ? [...found.values()][0]! : null;
}

/** What named items may come to: the amount, or that and a credit note of the payer that is taken off. */
export function targetsOf(receipt: ReceiptFacts, payer: Payer, index: MatchIndex): ReadonlySet<number> {
	const credits = payer.customerIds
		.flatMap((id) => index.itemsOf.get(id) ?? [])
		.filter((item) => item.kind === 'credit_note' && item.currency === receipt.currency);
	return new Set([receipt.amount, ...credits.map((item) => receipt.amount + item.open)]);
}
