import type { PlaceLine } from '../core/4-allocation/place-order';
import { placeReceipt } from '../core/4-allocation/place-receipt';
import type { AnswerLine } from '../core/3-matching/answer';
import type { DifferenceKind, OpenItem } from '../core/model/records';
import { minor, ZERO, type Minor } from '../core/money/minor';
import { parseTyped } from '../core/money/parse-typed';
import { list, money } from '../words/format';
import { DIFFERENCE_NAMES } from '../words/difference-names';
import { problemSentence } from '../words/problem-sentence';
import type { Desk } from '../server/looks/desk';

/** Names of a gap, in the order of their keys; null leaves it owed. */
export const GAP_NAMES: readonly (DifferenceKind | null)[] = [
	null,
	'settlement_discount',
	'bank_charge',
	'processor_fee',
	'small_difference',
	'withholding_tax'
];

interface Chosen {
	readonly item: OpenItem;
	/** What stands in the field. */
	text: string;
	/** True once a person typed it: then it is left alone when others are taken or left. */
	typed: boolean;
	gap: DifferenceKind | null;
}

/**
 * What lies on the strip while a receipt is on the desk: which items, how much of each, what the gap is called. Says at
 * every moment what posting would do, by the same rules that posting follows.
 */
export class Placing {
	readonly desk: Desk;
	#chosen = $state<Chosen[]>([]);

	readonly amount = $derived.by(() => minor(this.desk.receipt.amount));
	readonly currency: string;
	readonly rows = $derived.by(() => this.#chosen.map((one) => this.#row(one)));
	readonly placed = $derived.by(() => minor(this.rows.reduce((sum, row) => sum + (row.cash ?? 0), 0)));
	/** What of the money is not laid on an item yet: it stays on account. */
	readonly left = $derived.by(() => minor(this.amount - this.placed));
	/** The first item that would not be settled whole. */
	readonly short = $derived.by(() => this.rows.find((row) => row.remains > 0 || row.gap !== null));
	readonly outcome = $derived.by(() => this.#outcome());

	constructor(desk: Desk) {
		this.desk = desk;
		this.currency = desk.receipt.currency;
		if (desk.customer?.id === desk.answer.customerId) this.adopt(desk.answer.lines);
	}

	/** Lays an answer on the strip instead of what is there. */
	adopt(lines: readonly AnswerLine[]): void {
		this.#chosen = lines.flatMap((line) => {
			const item = this.desk.items.find((one) => one.id === line.itemId);
			return item
				? [
						{
							item,
							text: plain(line.cash, this.currency),
							typed: false,
							gap: line.differences[0]?.kind ?? null
						}
					]
				: [];
		});
	}

	isChosen(id: number): boolean {
		return this.#chosen.some((one) => one.item.id === id);
	}

	/** Takes an item, or leaves it. */
	toggle(id: number): void {
		const item = this.desk.items.find((one) => one.id === id);
		if (!item) return;
		if (this.isChosen(id)) this.#chosen = this.#chosen.filter((one) => one.item.id !== id);
		else this.#chosen = [...this.#chosen, { item, text: '', typed: false, gap: null }];
		this.#lay();
	}

	/** Leaves everything: all of it on account. */
	clear(): void {
		this.#chosen = [];
	}

	type(id: number, text: string): void {
		const one = this.#chosen.find((chosen) => chosen.item.id === id);
		if (!one) return;
		one.text = text;
		one.typed = true;
	}

	/** Names the gap on the item that falls short; null leaves it owed. */
	nameGap(kind: DifferenceKind | null): void {
		const id = this.short?.item.id ?? this.rows.find((row) => row.gap)?.item.id;
		const one = this.#chosen.find((chosen) => chosen.item.id === id);
		if (one && one.item.kind !== 'credit_note') one.gap = kind;
	}

	/** What is sent to be posted. */
	get order() {
		const { receipt, customer } = this.desk;
		return {
			receiptId: receipt.id,
			receiptVersion: receipt.version,
			customerId: customer?.id ?? null,
			lines: this.rows.map((row) => ({
				itemId: row.item.id,
				version: row.item.version,
				cash: row.cash ?? 0,
				differences: row.gap && row.difference > 0 ? [{ kind: row.gap, amount: row.difference }] : []
			}))
		};
	}

	/** Lays the money anew over what nobody typed: credit notes whole, then the items in the order taken. */
	#lay(): void {
		let left: number = this.amount;
		for (const one of this.#chosen) {
			if (one.typed) left -= this.#row(one).cash ?? 0;
			else if (one.item.kind === 'credit_note') {
				one.text = plain(-one.item.open, this.currency);
				left += one.item.open;
			}
		}
		for (const one of this.#chosen) {
			if (one.typed || one.item.kind === 'credit_note') continue;
			const cash = Math.max(0, Math.min(left, one.item.open));
			one.text = plain(cash, this.currency);
			left -= cash;
		}
	}

	#row(one: Chosen) {
		const parsed = parseTyped(one.text, this.currency, one.item.kind === 'credit_note');
		const cash = typeof parsed === 'string' ? null : parsed;
		const rest = minor(Math.max(0, one.item.open - Math.abs(cash ?? 0)));
		const difference: Minor = one.gap && one.item.kind !== 'credit_note' ? rest : ZERO;
		return {
			item: one.item,
			text: one.text,
			cash,
			gap: one.gap,
			difference,
			remains: minor(rest - difference)
		};
	}

	/** The line that says what posting will do, or what stands in its way. */
	#outcome(): { ok: true; text: string } | { ok: false; text: string } {
		const { receipt, customer } = this.desk;
		if (receipt.amount < 0) return { ok: false, text: 'Money that went out: book it on a ledger account.' };
		if (!customer) return { ok: false, text: 'Choose whose money this is.' };
		const unreadable = this.rows.find((row) => row.cash === null);
		if (unreadable)
			return { ok: false, text: `“${unreadable.text}” for ${unreadable.item.number} is not an amount.` };
		const lines: PlaceLine[] = this.rows.map((row) => ({
			item: row.item,
			cash: row.cash!,
			differences: row.gap && row.difference > 0 ? [{ kind: row.gap, amount: row.difference }] : []
		}));
		const result = placeReceipt({
			receipt: { id: receipt.id, amount: this.amount, currency: this.currency, base: this.amount },
			customerId: customer.id,
			lines
		});
		if (!result.ok) return { ok: false, text: problemSentence(result.problems[0]!) };
		const label = (row: (typeof this.rows)[number]) =>
			row.item.parts > 1 ? `${row.item.number} (${row.item.part} of ${row.item.parts})` : row.item.number;
		const settled = this.rows
			.filter((row) => row.remains === 0 && row.item.kind !== 'credit_note')
			.map(label);
		const used = this.rows.filter((row) => row.item.kind === 'credit_note').map(label);
		const parts: string[] = [];
		if (settled.length) parts.push(`settles ${list(settled)}`);
		for (const row of this.rows)
			if (row.remains > 0 && row.item.kind !== 'credit_note')
				parts.push(`leaves ${money(row.remains, this.currency)} of ${label(row)} open`);
		if (used.length) parts.push(`uses ${list(used)}`);
		for (const row of this.rows)
			if (row.gap && row.difference > 0)
				parts.push(
					`books ${money(row.difference, this.currency)} as ${DIFFERENCE_NAMES[row.gap].toLowerCase()}`
				);
		if (this.left > 0) parts.push(`leaves ${money(this.left, this.currency)} on account`);
		const text = parts.join('; ') || 'does nothing';
		return { ok: true, text: `${text[0]!.toUpperCase()}${text.slice(1)}.` };
	}
}

function plain(value: number, currency: string): string {
	return money(value, currency)
		.replace(/[^\d.,−-]/g, '')
		.replace('−', '-');
}
