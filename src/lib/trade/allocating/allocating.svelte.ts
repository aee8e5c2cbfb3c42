import { type AnswerLine, matchAdvice, type MatchedLine, type UsedCredit } from '../../core/3-matching';
import { addDays } from '../../core/day/arithmetic';
import type { Day } from '../../core/day/day';
import { remittancePhrases } from '../../core/text/remittance-phrases';
import type { FeeKind, SurplusKind } from '../../core/model/posting';
import type { DifferenceKind } from '../../core/model/records';
import { minor, type Minor } from '../../core/money/minor';
import { typedAmount } from '../../words/typed-amount';
import type { Desk } from '../../server/allocation/queries/desk';
import type { AllocationInput } from '../../server/allocation/allocation-input';
import { outcomeOf } from './allocating-outcome';
import { orderOf } from './allocating-order';
import { rowOf } from './allocating-row';
import { chosenFromAdvice, chosenFromAnswer, chosenFromOrder, type DraftClaim } from './chosen-from';
import { blank, plain, type Chosen, type ClaimDraft } from './chosen-item';
import { creditsToLay } from './credits-to-lay';
import { oldestItems } from './oldest-items';
import { fitCredits, type TypedCredit } from './fit-credits';
import { settleByRate, spreadMoney } from './spread-money';

/** Names of a gap, in the order of their keys; null leaves it owed. */
export const GAP_NAMES: readonly (DifferenceKind | null)[] = [
	null,
	'settlement_discount',
	'claim',
	'bank_charge',
	'processor_fee',
	'withholding_tax',
	'small_difference',
	'currency',
	'bad_debt'
];

/** What is left over is called these, by their keys; null leaves it on account. */
export const SURPLUS_NAMES = [null, 'refund', 'small_difference'] as const;

/** How long a new claim has until somebody should have decided it. */
const CLAIM_DAYS = 14;

/**
 * What lies on the strip while money is on the desk: which items and credits, how much of each, what the gaps are called.
 * Says at every moment what posting would do, by the same rules that posting follows.
 */
export class Allocating {
	readonly desk: Desk;
	readonly currency: string;
	#chosen = $state<Chosen[]>([]);
	#used = $state<TypedCredit[]>([]);
	fees = $state<{ kind: FeeKind; text: string }[]>([]);
	surplus = $state<SurplusKind | null>(null);
	#deposit = $state<string | null>(null);
	/** The order that the payer's words name; it is taken for a deposit while nothing else is allocated. */
	readonly #orderSaid: string;
	/** What somebody should think about before the same is asked once more; gone with the next change. */
	warning = $state('');
	/** The kept advice that lies on the strip. */
	adviceId = $state<number | null>(null);
	/** Whether the payer is remembered for the customer. */
	remember = $state(false);
	/** The accounting day where only credits are allocated. */
	date = $state('');

	/** The new money, with what was kept of it where it is credited in full. */
	readonly gross = $derived.by(() =>
		minor(
			(this.desk.receipt?.amount ?? 0) + this.fees.reduce((sum, fee) => sum + (this.#read(fee.text) ?? 0), 0)
		)
	);
	readonly credits = $derived.by(() =>
		this.#used.map((one) => ({
			...this.desk.credits.find((credit) => credit.receiptId === one.receiptId)!,
			text: one.text,
			use: this.#read(one.text)
		}))
	);
	/** All that can be laid: the new money and the earlier one that is used. */
	readonly amount = $derived.by(() =>
		minor(this.gross + this.credits.reduce((sum, credit) => sum + (credit.use ?? 0), 0))
	);
	readonly rows = $derived.by(() => this.#chosen.map((one) => rowOf(one, this.currency)));
	readonly placed = $derived.by(() => minor(this.rows.reduce((sum, row) => sum + (row.cash ?? 0), 0)));
	/** What of the money is not laid on an item yet. */
	readonly left = $derived.by(() => minor(this.amount - this.placed));
	/** The first item that would not be settled whole, or whose gap has a name. */
	readonly short = $derived.by(() => this.rows.find((row) => row.remains > 0 || row.gaps.length > 0));
	readonly outcome = $derived.by(() => outcomeOf(this));

	constructor(
		desk: Desk,
		readonly today: Day,
		readonly viewer: string,
		lay: readonly number[] = []
	) {
		this.desk = desk;
		this.currency = desk.currency;
		this.#orderSaid = (desk.receipt && remittancePhrases(desk.receipt.text).order) ?? '';
		if (desk.receipt && desk.receipt.fee > 0)
			this.fees = [{ kind: 'processor_fee', text: plain(desk.receipt.fee, desk.currency) }];
		if (lay.some((id) => desk.items.some((item) => item.id === id))) for (const id of lay) this.toggle(id);
		else if (desk.receipt?.heldOrder) this.#restore(desk.receipt.heldOrder);
		else if (desk.answer && desk.customer?.id === desk.answer.customerId) {
			const advice = desk.advices.find((one) => one.id === desk.answer!.adviceId);
			if (advice) this.takeAdvice(matchAdvice(advice.lines, desk.items), advice.id);
			else this.adopt(desk.answer.lines, desk.answer.credits);
		} else if (!desk.receipt) this.#layCredits();
	}

	/** Lays what lies on account where that is all the money there is. */
	#layCredits(): void {
		const { receiptIds, itemIds } = creditsToLay(this.desk.credits, this.desk.items);
		for (const id of receiptIds) this.useCredit(id);
		for (const id of itemIds) if (this.left > 0) this.toggle(id);
	}

	/** Lays an answer on the strip instead of what is there, with the earlier money that joins in. */
	adopt(lines: readonly AnswerLine[], credits: readonly UsedCredit[] = []): void {
		this.adviceId = null;
		this.#used = credits
			.filter((one) => this.desk.credits.some((credit) => credit.receiptId === one.receiptId))
			.map((one) => ({ receiptId: one.receiptId, text: plain(one.use, this.currency), typed: true }));
		const said = this.desk.answer?.reasons.find((reason) => reason.code === 'claim-said');
		const { items } = this.desk;
		this.#chosen = chosenFromAnswer(lines, items, this.currency, this.#draft, said?.claim);
	}

	/** Lays again what was on the strip when the receipt was held, as far as it is still open. */
	#restore(order: AllocationInput): void {
		this.#chosen = chosenFromOrder(order, this.desk.items, this.currency);
		for (const { receiptId, use } of order.credits ?? [])
			if (this.desk.credits.some((one) => one.receiptId === receiptId))
				this.#used.push({ receiptId, text: plain(use, this.currency), typed: true });
		this.fees = (order.fees ?? []).map((fee) => ({ kind: fee.kind, text: plain(fee.amount, this.currency) }));
		this.surplus = order.surplus?.[0]?.kind ?? null;
		this.#deposit = order.depositFor ?? null;
	}

	readonly #chosenIds = $derived.by(() => new Set(this.#chosen.map((one) => one.item.id)));
	isChosen(id: number): boolean {
		return this.#chosenIds.has(id);
	}

	/** Takes an item, or leaves it. */
	toggle(id: number): void {
		const item = this.desk.items.find((one) => one.id === id);
		if (!item) return;
		if (this.isChosen(id)) this.#chosen = this.#chosen.filter((one) => one.item.id !== id);
		else this.#chosen = [...this.#chosen, blank(item)];
		this.#spread();
	}

	/** The order that what is left over is a deposit for; empty where it is none. */
	get depositFor(): string {
		return this.#deposit ?? (this.#chosen.length === 0 ? this.#orderSaid : '');
	}

	set depositFor(order: string) {
		this.#deposit = order;
	}

	/** Spreads the money over what is taken; without new money, just so much of what lies on account is used. */
	#spread(): void {
		this.warning = '';
		if (!this.desk.receipt)
			this.#used = fitCredits(this.#used, this.#chosen, this.desk.credits, this.currency);
		spreadMoney(this.#chosen, this.amount, this.currency, this.desk.rates);
	}

	/**
	 * Takes the oldest items by due day, as far as the money goes; the last one in part. Credit notes stay as they are. A deposit is
	 * spent only where that is asked twice.
	 */
	fillOldest(): void {
		const deposit = this.depositFor.trim() || this.credits.find((one) => one.depositFor)?.depositFor;
		if (deposit && !this.warning) {
			this.warning = `This is a deposit for order ${deposit}. Ask for the oldest once more to spend it on them.`;
			return;
		}
		if (deposit) this.#deposit = '';
		if (!this.desk.receipt) {
			// All that lies on account and is no deposit is to be spent.
			const free = this.desk.credits.filter(
				({ receiptId, depositFor }) => !depositFor && !this.#used.some((one) => one.receiptId === receiptId)
			);
			this.#used = fitCredits(
				[...this.#used, ...free.map(({ receiptId }) => ({ receiptId, text: '', typed: false }))],
				[],
				this.desk.credits,
				this.currency
			);
		}
		const credits = this.#chosen.filter((one) => one.item.kind === 'credit_note');
		const money = this.amount + credits.reduce((sum, one) => sum + one.item.open, 0);
		const owner = { customerId: this.desk.customer?.id ?? null, currency: this.currency };
		const taken = oldestItems(this.desk.items, owner, money).map(blank);
		this.#chosen = [...taken, ...credits];
		this.#spread();
	}

	/** Lays what a remittance advice says instead of what is there: its items, amounts, and deductions by their names. */
	takeAdvice(lines: readonly MatchedLine[], adviceId: number | null = null): void {
		this.adviceId = adviceId;
		this.#chosen = chosenFromAdvice(lines, this.currency, this.#draft);
	}

	/** Uses earlier money, or no longer. */
	useCredit(receiptId: number): void {
		const credit = this.desk.credits.find((one) => one.receiptId === receiptId);
		if (!credit) return;
		if (this.#used.some((one) => one.receiptId === receiptId))
			this.#used = this.#used.filter((one) => one.receiptId !== receiptId);
		else
			this.#used = [...this.#used, { receiptId, text: plain(credit.onAccount, this.currency), typed: false }];
		this.#spread();
	}

	typeCredit(receiptId: number, text: string): void {
		this.#used = this.#used.map((one) =>
			one.receiptId === receiptId ? { receiptId, text, typed: true } : one
		);
		this.#spread();
	}

	/** Leaves everything: all of it on account. */
	clear(): void {
		this.adviceId = null;
		this.#chosen = [];
		this.#used = [];
		this.warning = '';
	}

	type(id: number, text: string): void {
		const one = this.#find(id);
		if (!one) return;
		one.text = text;
		one.typed = true;
		settleByRate(one, this.#read(text) ?? 0, this.currency, this.desk.rates);
	}

	typeSettles(id: number, text: string): void {
		const one = this.#find(id);
		if (one) [one.settles, one.settlesTyped] = [text, true];
	}

	typeGap(id: number, index: number, text: string): void {
		const gap = this.#find(id)?.gaps[index];
		if (gap) gap.text = text;
	}

	dropGap(id: number, index: number): void {
		const one = this.#find(id);
		if (!one) return;
		one.gaps = one.gaps.filter((_, i) => i !== index);
		one.claim = this.#draft(one.gaps, one.claim);
	}

	/**
	 * Names the gap on the item that falls short; null leaves it owed. While something of the gap has no name yet the name is
	 * for that rest, beside those already given; else it goes in the place of the last one.
	 */
	nameGap(kind: DifferenceKind | null): void {
		const one = this.short && this.#find(this.short.item.id);
		if (!one || one.item.kind === 'credit_note') return;
		const others = one.gaps.filter((gap) => gap.text !== null);
		one.gaps = kind === null ? others : [...others.filter((gap) => gap.kind !== kind), { kind, text: null }];
		one.claim = this.#draft(one.gaps, one.claim);
	}

	claimOf(id: number): ClaimDraft | null {
		return this.#find(id)?.claim ?? null;
	}

	changeClaim(id: number, change: Partial<ClaimDraft>): void {
		const one = this.#find(id);
		if (one?.claim) one.claim = { ...one.claim, ...change };
	}

	/** What is sent to be posted. */
	get order(): ReturnType<typeof orderOf> {
		return orderOf(this);
	}

	#find(id: number): Chosen | undefined {
		return this.#chosen.find((one) => one.item.id === id);
	}

	#read(text: string): Minor | null {
		const parsed = typedAmount(text, this.currency, false);
		return typeof parsed === 'string' ? null : parsed;
	}

	readonly #draft: DraftClaim = (gaps, known = null, reason = 'damaged') => {
		if (!gaps.some((gap) => gap.kind === 'claim')) return null;
		const deadline = addDays(this.today, CLAIM_DAYS);
		return known ?? { reason, owner: this.viewer, deadline, note: '' };
	};
}
