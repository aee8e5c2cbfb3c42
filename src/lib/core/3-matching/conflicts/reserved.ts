import type { OpenItem, ReceiptFacts } from '../../model/records';
import type { AnswerLine } from '../answer';
import type { MatchIndex } from '../match-index';

/** What the receipts of a pile take of the open items, one after another. */
export class Reserved {
	readonly #open = new Map<number, number>();
	readonly #items = new Map<number, OpenItem>();
	readonly #by = new Map<number, ReceiptFacts>();

	constructor(readonly index: MatchIndex) {
		for (const list of index.itemsOf.values())
			for (const item of list) {
				this.#items.set(item.id, item);
				this.#open.set(item.id, item.open);
			}
	}

	/** The number of an item's document; empty for one that is not there. */
	numberOf(itemId: number): string {
		return this.#items.get(itemId)?.number ?? '';
	}

	/** Whether so much as a line settles is still there. */
	fits(line: AnswerLine): boolean {
		return settledBy(line) <= (this.#open.get(line.itemId) ?? 0);
	}

	/** The receipt that was the last to take of an item. */
	by(itemId: number): ReceiptFacts | undefined {
		return this.#by.get(itemId);
	}

	take(line: AnswerLine, receipt: ReceiptFacts): void {
		this.#open.set(line.itemId, this.#open.get(line.itemId)! - settledBy(line));
		this.#by.set(line.itemId, receipt);
	}

	giveBack(line: AnswerLine): void {
		this.#open.set(line.itemId, this.#open.get(line.itemId)! + settledBy(line));
		this.#by.delete(line.itemId);
	}

	/** The next whole item as open as that of a line, of the same account and kind, that is not among some; undefined where none is. */
	nextEqual(line: AnswerLine, but: ReadonlySet<number>): OpenItem | undefined {
		const first = this.#items.get(line.itemId)!;
		if (settledBy(line) !== first.open) return undefined;
		return (this.index.itemsOf.get(first.customerId) ?? []).find(
			(item) =>
				!but.has(item.id) &&
				item.open === first.open &&
				item.currency === first.currency &&
				item.kind === first.kind &&
				this.#open.get(item.id) === item.open
		);
	}
}

/** How much of an item a line settles, by cash and by what closes a gap. */
function settledBy(line: AnswerLine): number {
	return line.differences.reduce((sum, gap) => sum + gap.amount, Math.abs(line.cash));
}
