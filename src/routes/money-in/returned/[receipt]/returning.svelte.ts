import { postReturn, type PostedReturn } from '$lib/core/4-allocation/post-return';
import { daysBetween } from '$lib/core/day/arithmetic';
import type { Day } from '$lib/core/day/day';
import { parseTypedDay } from '$lib/core/day/parse-typed-day';
import { minor, type Minor } from '$lib/core/money/minor';
import { typedAmount } from '$lib/words/typed-amount';
import type { ReturnDesk } from '$lib/server/returns/queries/return-desk';
import { amount as plain, list, money, shortDay, problemSentence } from '$lib/words';

/**
 * A payment that is being marked as returned: what was typed, and at every moment what posting it would do, by the rule that
 * posting follows.
 */
export class Returning {
	readonly desk: ReturnDesk;
	readonly currency: string;
	text = $state('');
	date = $state('');
	reason = $state('');
	note = $state('');
	feeText = $state('');
	charge = $state<'none' | 'same' | 'own'>('none');
	chargeText = $state('');
	shownId = $state<number | null>(null);
	/** Differences that go back with the payment. */
	differencesBack = $state<readonly number[]>([]);
	/** Allocations that are taken off first, where only a part comes back. */
	first = $state<readonly number[]>([]);

	readonly amount = $derived.by(() => this.#read(this.text));
	readonly fee = $derived.by(() => (this.feeText.trim() ? this.#read(this.feeText) : minor(0)));
	readonly charged = $derived.by((): Minor | null =>
		this.charge === 'none' ? minor(0) : this.charge === 'same' ? this.fee : this.#read(this.chargeText)
	);
	/** The day in the books; today where none was typed, null where it is no day. */
	readonly day = $derived.by(() => (this.date.trim() ? parseTypedDay(this.date, this.today) : this.today));
	readonly shown = $derived.by(() => this.desk.debits.find((one) => one.receiptId === this.shownId) ?? null);
	readonly outcome = $derived.by(() => this.#work());
	/** What the bank's entry takes beyond payment and fee, or short of them. */
	readonly apart = $derived.by(() =>
		this.shown ? -this.shown.amount - (this.amount ?? 0) - (this.#withFee ? (this.fee ?? 0) : 0) : 0
	);

	constructor(
		desk: ReturnDesk,
		readonly today: Day,
		shownId: number | null
	) {
		this.desk = desk;
		this.currency = desk.payment.currency;
		const { allocations, onAccount } = desk.standing;
		const most = onAccount + allocations.reduce((sum, one) => sum + one.creditAmount, 0);
		this.text = plain(most, this.currency);
		this.differencesBack = desk.standing.differences
			.filter((one) => one.kind !== 'claim')
			.map((one) => one.id);
		const shown = desk.debits.find((one) => one.receiptId === shownId) ?? null;
		if (shown) {
			this.shownId = shown.receiptId;
			const over = -shown.amount - most;
			if (over > 0) this.feeText = plain(over, this.currency);
			else if (over < 0) this.text = plain(-shown.amount, this.currency);
			this.reason = shown.reason ?? '';
			const open = desk.firstOpen !== null && shown.booked < desk.firstOpen ? '' : shown.booked;
			this.date = open && open !== today ? shortDay(open) : '';
		}
		if (!this.reason) this.reason = desk.payment.method === 'cheque' ? 'refer' : '';
		if (desk.lastCharge > 0) {
			this.charge = 'own';
			this.chargeText = plain(desk.lastCharge, this.currency);
		}
	}

	toggleDifference(id: number): void {
		this.differencesBack = this.differencesBack.includes(id)
			? this.differencesBack.filter((one) => one !== id)
			: [...this.differencesBack, id];
	}

	/** Takes this allocation off before the others. */
	putFirst(id: number): void {
		this.first = [id, ...this.first.filter((one) => one !== id)];
	}

	get input() {
		const { receiptId, version } = this.desk.payment;
		return {
			...{ receiptId, receiptVersion: version, amount: this.amount ?? 0, date: this.day },
			...{ reason: this.reason, note: this.note, fee: this.fee ?? 0, charge: this.charged ?? 0 },
			...{ differencesBack: this.differencesBack, first: this.first },
			shown: this.shown && {
				...{ receiptId: this.shown.receiptId, receiptVersion: this.shown.version },
				part: this.#withFee ? ('both' as const) : ('money' as const)
			}
		};
	}

	/** What is owed again by each item: its due day, how late it is then, and how much. */
	readonly opened = $derived.by(() => {
		const { standing, labels, owners, customer } = this.desk;
		const taken = this.outcome.taken;
		const before = new Map(standing.items.map((one) => [one.itemId, one.open]));
		return standing.allocations.map((one) => {
			const after = taken?.posting.changes.find((change) => change.itemId === one.itemId)?.open ?? 0;
			return {
				id: one.id,
				label: labels[one.itemId] ?? '',
				owner: one.itemCustomerId === customer.id ? null : (owners[one.itemCustomerId] ?? null),
				due: one.due,
				late: daysBetween(one.due, this.day ?? this.today),
				paid: one.amount,
				currency: one.itemCurrency,
				off: taken?.takenOff.includes(one.id) ?? false,
				owed: after - (before.get(one.itemId) ?? 0)
			};
		});
	});

	get #withFee(): boolean {
		return (
			this.shown !== null && (this.fee ?? 0) > 0 && -this.shown.amount >= (this.amount ?? 0) + (this.fee ?? 0)
		);
	}

	#read(text: string): Minor | null {
		const parsed = typedAmount(text, this.currency, false);
		return typeof parsed === 'string' ? null : parsed;
	}

	#work(): { ok: boolean; text: string; taken: PostedReturn | null } {
		const no = (text: string, taken: PostedReturn | null = null) => ({ ok: false, text, taken });
		if (this.amount === null) return no('Say how much was returned.');
		const { standing, payment, customer, firstOpen } = this.desk;
		const back = postReturn({
			...standing,
			amount: this.amount,
			differencesBack: this.differencesBack,
			first: this.first
		});
		if (!back.ok) return no(back.problems.map(problemSentence).join(' '));
		const taken = back.value;
		if (this.fee === null) return no('The bank’s fee is not an amount.', taken);
		if (this.charged === null) return no('The charge is not an amount.', taken);
		if (this.day === null) return no('That is not a date.', taken);
		if (this.day < payment.booked)
			return no(`It cannot have been returned before it came, on ${shortDay(payment.booked)}.`, taken);
		if (firstOpen && this.day < firstOpen)
			return no(`The books are locked then. The first open day is ${shortDay(firstOpen)}.`, taken);
		if (!this.reason.trim()) return no('Say why it was returned.', taken);
		if (this.shown && this.apart !== 0)
			return no(
				`The bank’s entry takes ${money(Math.abs(this.apart), this.currency)} ${this.apart > 0 ? 'more' : 'less'} than that: change the amount or the fee, or do not choose the entry.`,
				taken
			);
		const owed = standing.allocations
			.filter((one) => taken.takenOff.includes(one.id))
			.map((one) => this.desk.labels[one.itemId] ?? '');
		const parts = [
			owed.length ? `opens ${list([...new Set(owed)])} again` : '',
			`adds ${money(this.amount, this.currency)} to what ${customer.name} owes`,
			this.fee > 0 ? `books ${money(this.fee, this.currency)} of bank charges` : '',
			this.charged > 0 ? `charges ${customer.name} ${money(this.charged, this.currency)}, due at once` : '',
			this.shown ? 'meets the bank’s entry' : 'waits for the bank’s entry'
		].filter(Boolean);
		return { ok: true, text: `Posting ${list(parts, 9)}.`, taken };
	}
}
