import { addDays } from '$lib/core/day/arithmetic';
import type { Day } from '$lib/core/day/day';
import { parseTypedDay } from '$lib/core/day/parse-typed-day';
import type { ClaimReason } from '$lib/core/model/claim';
import { minor } from '$lib/core/money/minor';
import type { CallRow } from '$lib/server/letters/queries/calls';
import { CLAIM_WORDS, list, money, readCallLine, shortDay } from '$lib/words';
import { typedAmount } from '$lib/words/typed-amount';

/** What came of a call, while it is typed: a line, and beside it what the line left open. */
export class CallDraft {
	readonly row: CallRow;
	readonly today: Day;
	line = $state('');
	amount = $state('');
	day = $state('');
	/** The item in dispute, where it was chosen. */
	item = $state(0);
	reason = $state<ClaimReason | ''>('');

	constructor(row: CallRow, today: Day) {
		this.row = row;
		this.today = today;
	}

	readonly read = $derived.by(() =>
		readCallLine(this.line, {
			...{ today: this.today, currency: this.row.currency, owed: minor(this.row.late) },
			numbers: this.row.items.map((item) => item.number)
		})
	);

	/** The items that a promise is for; none where it is for the account. */
	get promised(): CallRow['items'] {
		const { read } = this;
		return read.outcome === 'promise'
			? this.row.items.filter((one) => read.numbers.includes(one.number))
			: [];
	}

	/** What was promised: as typed beside the line, or in it, or all of the items that it names. */
	get promisedAmount(): number | null {
		const named = this.promised.reduce((sum, one) => sum + one.open, 0);
		return (
			this.#typedAmount ?? (this.read.outcome === 'promise' ? this.read.amount : null) ?? (named || null)
		);
	}

	/** The item in dispute; null where it is not known yet. */
	get disputed(): CallRow['items'][number] | null {
		const { items } = this.row;
		const number = this.read.outcome === 'dispute' ? this.read.number : null;
		const only = items.length === 1 ? items[0] : undefined;
		return (
			items.find((one) => one.id === this.item) ?? items.find((one) => one.number === number) ?? only ?? null
		);
	}

	/** The day that was named; for a call, the next one where none was. */
	get namedDay(): Day | null {
		const { read, day, today } = this;
		if (day.trim() !== '') return parseTypedDay(day, today);
		if (read.outcome === 'promise') return read.day;
		return read.outcome === 'again' || read.outcome === 'no-answer'
			? (read.againOn ?? addDays(today, 1))
			: null;
	}

	/** What will be recorded, in a sentence; nothing while nothing is typed. */
	get says(): string {
		const { read, today, row } = this;
		if (this.line.trim() === '') return '';
		const day = this.namedDay ? shortDay(this.namedDay, today) : '…';
		switch (read.outcome) {
			case 'promise': {
				const sum = this.promisedAmount === null ? '…' : money(this.promisedAmount, row.currency);
				const items = this.promised.length ? ` for ${list(this.promised.map((one) => one.number))}` : '';
				return `A promise of ${sum} by ${day}${items}.`;
			}
			case 'dispute':
				return `A claim: ${CLAIM_WORDS[this.reason || read.reason].toLowerCase()}. What is in dispute moves off the item and is not chased.`;
			case 'again':
			case 'no-answer':
				return `${read.outcome === 'no-answer' ? 'No answer; ' : ''}to be called again ${day}.`;
			case 'said':
				return 'What was said, as you typed it.';
			default:
				return read satisfies never;
		}
	}

	/** What the act is given, or in a sentence what is missing. */
	given() {
		const { customerId, currency, contacts } = this.row;
		const { read } = this;
		const base = {
			...{ customerId, currency, said: this.line.trim(), outcome: read.outcome },
			...{ number: contacts[0]?.phone ?? '', spokeTo: contacts[0]?.name ?? '' }
		};
		if (read.outcome === 'said') return base;
		if (read.outcome === 'dispute') {
			const item = this.disputed;
			if (!item) return 'Say which item they dispute.';
			const amount = this.#typedAmount ?? read.amount ?? item.open;
			const dispute = { itemId: item.id, version: item.version, amount, reason: this.reason || read.reason };
			return { ...base, dispute };
		}
		const day = this.namedDay;
		if (read.outcome === 'promise') {
			const amount = this.promisedAmount;
			if (amount === null || day === null) return 'Say how much they promised, and by which day.';
			return { ...base, promise: { amount, promisedFor: day, items: this.promised.map((one) => one.id) } };
		}
		return day === null
			? `“${this.day}” is not a date. Write 6 Nov, 6/11 or 2026-11-06.`
			: { ...base, againOn: day };
	}

	get #typedAmount(): number | null {
		if (this.amount.trim() === '') return null;
		const given = typedAmount(this.amount, this.row.currency);
		return typeof given === 'number' ? given : null;
	}
}
