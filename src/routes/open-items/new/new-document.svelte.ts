import { drawUp, type DrawnUp } from '$lib/core/1-open-items/draw-up';
import type { TermsFrom, TermsPart } from '$lib/core/model/customer-details';
import type { Day } from '$lib/core/day/day';
import { parseTypedDay } from '$lib/core/day/parse-typed-day';
import { minor, type Minor } from '$lib/core/money/minor';
import { typedAmount } from '$lib/words/typed-amount';

export type NewKind = 'invoice' | 'credit_note' | 'charge';

interface TypedLine {
	text: string;
	net: string;
	tax: string;
}
interface TypedShare {
	percent: string;
	days: string;
}
export interface Beginning {
	readonly customer: {
		readonly id: number;
		readonly currency: string;
		readonly termsDays: number;
		readonly termsFrom: TermsFrom;
		readonly termsParts: readonly TermsPart[];
		readonly discountBasisPoints: number | null;
		readonly discountDays: number | null;
	} | null;
	readonly numbers: Readonly<Record<NewKind, string>>;
	readonly taxBasisPoints: number;
}

/** A percentage as it is typed ("20", "17.5%") in basis points; null where it is none. */
function basisPointsOf(text: string): number | null {
	const value = typedAmount(text.replace('%', '').trim() || '0', 'EUR');
	return typeof value === 'number' && value <= 10_000 ? value : null;
}

/** One document as it is typed, and what it comes to. What cannot be read is said; nothing of it is lost. */
export class NewDocument {
	readonly beginning: Beginning;
	readonly currency: string;
	kind = $state<NewKind>('invoice');
	/** What a credit note is given for. */
	creditNoteKind = $state<'goods' | 'price' | 'goodwill' | null>(null);
	#number = $state<string | null>(null);
	issued = $state('');
	lines = $state<TypedLine[]>([]);
	shares = $state<TypedShare[]>([]);
	purchaseOrder = $state('');
	orderReference = $state('');
	paymentReference = $state('');
	discountPercent = $state('');
	discountDays = $state('');
	readonly #today: Day;

	/** From when the days of its parts are counted. */
	get termsFrom(): TermsFrom {
		return this.beginning.customer?.termsFrom ?? 'issue';
	}

	constructor(beginning: Beginning, today: Day) {
		this.beginning = beginning;
		this.#today = today;
		const { customer } = beginning;
		this.currency = customer?.currency ?? 'GBP';
		this.shares = customer?.termsParts.length
			? customer.termsParts.map(({ basisPoints, days }) => ({
					...{ percent: String(basisPoints / 100), days: String(days) }
				}))
			: [{ percent: '', days: String(customer?.termsDays ?? 30) }];
		if (customer?.discountBasisPoints && customer.discountDays !== null) {
			this.discountPercent = String(customer.discountBasisPoints / 100);
			this.discountDays = String(customer.discountDays);
		}
		this.addLine();
	}

	/** The next free number of the kind until another one is typed. */
	get number(): string {
		return this.#number ?? this.beginning.numbers[this.kind];
	}
	set number(text: string) {
		this.#number = text === this.beginning.numbers[this.kind] ? null : text;
	}

	addLine(): void {
		this.lines.push({ text: '', net: '', tax: String(this.beginning.taxBasisPoints / 100) });
	}
	dropLine(at: number): void {
		this.lines.splice(at, 1);
		if (this.lines.length === 0) this.addLine();
	}
	/** One part more, a month after the last; a part without a figure is the rest of the whole. */
	addShare(): void {
		const last = Number(this.shares.at(-1)?.days) || 0;
		if (this.shares.length === 1) this.shares[0]!.percent = '50';
		this.shares.push({ percent: '', days: String(last + 30) });
	}
	dropShare(at: number): void {
		this.shares.splice(at, 1);
		if (this.shares.length === 1) this.shares[0]!.percent = '';
	}

	/** Lines with anything typed on them. */
	readonly #used: readonly TypedLine[] = $derived(
		this.lines.filter((line) => line.text.trim() || line.net.trim())
	);
	readonly #read = $derived.by(() => {
		const problems: string[] = [];
		const issued = parseTypedDay(this.issued, this.#today);
		if (!issued) problems.push(`“${this.issued}” is not a date. Write 30/10, 30 Oct or 2026-10-30.`);
		const lines = this.#used.map((line, i) => {
			const net = typedAmount(line.net, this.currency, true);
			const taxBasisPoints = basisPointsOf(line.tax);
			if (typeof net === 'string') problems.push(`Line ${i + 1}: “${line.net}” is not an amount.`);
			if (taxBasisPoints === null) problems.push(`Line ${i + 1}: “${line.tax}” is no rate of tax.`);
			if (!line.text.trim()) problems.push(`Line ${i + 1}: say what it is for.`);
			return {
				text: line.text.trim(),
				net: typeof net === 'string' ? minor(0) : net,
				taxBasisPoints: taxBasisPoints ?? 0
			};
		});
		const given = this.shares.reduce((sum, share) => sum + (basisPointsOf(share.percent) ?? 0), 0);
		const shares: TermsPart[] = this.shares.map((share, i) => {
			const rest = share.percent.trim() === '';
			const basisPoints = rest ? Math.max(0, 10_000 - given) : basisPointsOf(share.percent);
			const days = /^\d{1,4}$/.test(share.days.trim()) ? Number(share.days) : null;
			if (!basisPoints)
				problems.push(
					rest
						? `Part ${i + 1}: nothing is left for it.`
						: `Part ${i + 1}: “${share.percent}” is not a percentage above zero, up to 100.`
				);
			if (days === null) problems.push(`Part ${i + 1}: “${share.days}” is no number of days.`);
			return { basisPoints: basisPoints ?? 0, days: days ?? 0 };
		});
		const whole = shares.reduce((sum, one) => sum + one.basisPoints, 0);
		if (whole !== 10_000) problems.push(`The parts come to ${whole / 100}%, not to 100%.`);
		const percent = basisPointsOf(this.discountPercent);
		const days = /^\d{0,4}$/.test(this.discountDays.trim()) ? Number(this.discountDays) : null;
		if (percent === null || days === null) problems.push('The discount is no percentage and number of days.');
		const discount = percent && this.kind === 'invoice' ? { basisPoints: percent, days: days ?? 0 } : null;
		return { problems, issued, lines, shares, discount };
	});
	/** What stands against it, in sentences; an empty document is not yet wrong. */
	readonly problems: readonly string[] = $derived(this.#read.problems);
	readonly drawn: DrawnUp | null = $derived(
		this.#read.issued && this.#read.shares.some((one) => one.basisPoints > 0)
			? drawUp(this.#read.lines, this.#read.issued, this.#read.shares, this.termsFrom)
			: null
	);
	readonly total: Minor = $derived(this.drawn?.total ?? minor(0));
	readonly issuedOn: Day | null = $derived(this.#read.issued);
	get ready(): boolean {
		const complete = this.problems.length === 0 && this.#used.length > 0 && this.total > 0;
		return complete && this.beginning.customer !== null;
	}

	/** As the act takes it. */
	get input() {
		const { issued, lines, shares, discount } = this.#read;
		return {
			...{ kind: this.kind, customerId: this.beginning.customer?.id, number: this.number.trim(), issued },
			...{ lines, shares, discount, termsFrom: this.termsFrom },
			creditNoteKind: this.kind === 'credit_note' ? this.creditNoteKind : null,
			purchaseOrder: this.purchaseOrder.trim() || null,
			orderReference: this.orderReference.trim() || null,
			paymentReference: this.paymentReference.trim() || null
		};
	}
}
