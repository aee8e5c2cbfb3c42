import { DAY_COUNTS } from '$lib/core/9-interest/interest-terms';
import { firstOfMonth } from '$lib/core/day/arithmetic';
import type { Day } from '$lib/core/day/day';
import { parseTypedDay } from '$lib/core/day/parse-typed-day';
import { ZERO } from '$lib/core/money/minor';
import type { Setting } from '$lib/server/firm/store/settings';
import { typedPercent, typedWhole } from '$lib/trade/customers/typed-numbers';
import { shortDay } from '$lib/words';
import { plainAmount } from '$lib/words/plain-amount';
import { typedAmount } from '$lib/words/typed-amount';

interface RateDraft {
	readonly key: number;
	from: string;
	percent: string;
}

interface BandDraft {
	readonly key: number;
	from: string;
	amount: string;
}

/** What the law of the United Kingdom gives businesses: 8 per cent above the reference rate, and a sum by what was late (Late Payment of Commercial Debts (Interest) Act 1998, sections 5A and 6). */
const STATUTORY = {
	margin: '8',
	bands: [
		['0', '40'],
		['1000', '70'],
		['10000', '100']
	]
} as const;

/** The terms of interest while somebody sets them. */
export class InterestDraft {
	since = $state('');
	dayCount = $state<(typeof DAY_COUNTS)[number]>(365);
	graceDays = $state('0');
	least = $state('');
	margin = $state('');
	rates = $state<RateDraft[]>([]);
	bands = $state<BandDraft[]>([]);
	onInterest = $state(false);
	readonly #version: number;
	#next = 0;

	/** @param setting as it stands; null where the firm has none yet */
	constructor(
		setting: Setting<'interest'> | null,
		private readonly base: string,
		private readonly today: Day
	) {
		this.#version = setting?.version ?? 0;
		if (!setting) {
			this.since = shortDay(firstOfMonth(today));
			this.margin = base === 'GBP' ? STATUTORY.margin : '';
			if (base === 'GBP') for (const [from, amount] of STATUTORY.bands) this.addBand(from, amount);
			this.addRate();
			return;
		}
		this.since = shortDay(setting.since);
		[this.dayCount, this.onInterest] = [setting.dayCount, setting.onInterest];
		this.graceDays = String(setting.graceDays);
		this.least = setting.least === 0 ? '' : plainAmount(setting.least, base);
		this.margin = String(setting.margin / 100);
		for (const one of setting.reference) this.addRate(shortDay(one.from), String(one.basisPoints / 100));
		for (const one of setting.compensation)
			this.addBand(plainAmount(one.from, base), plainAmount(one.amount, base));
	}

	addRate(from = '', percent = ''): void {
		this.rates.push({ key: this.#next++, from, percent });
	}

	addBand(from = '', amount = ''): void {
		this.bands.push({ key: this.#next++, from, amount });
	}

	/** What the act is given; what cannot be read is given so that the act says it at its field. */
	get given() {
		return {
			...{ version: this.#version, dayCount: this.dayCount, onInterest: this.onInterest },
			since: this.#day(this.since),
			graceDays: typedWhole(this.graceDays) ?? 0,
			least: this.least.trim() === '' ? ZERO : this.#sum(this.least),
			margin: typedPercent(this.margin) ?? NaN,
			reference: this.rates.map(({ from, percent }) => ({
				...{ from: this.#day(from), basisPoints: typedPercent(percent) ?? NaN }
			})),
			compensation: this.bands.map(({ from, amount }) => ({
				...{ from: from.trim() === '' ? ZERO : this.#sum(from), amount: this.#sum(amount) }
			}))
		};
	}

	/** A day as it is typed; nothing for what is none. */
	#day(typed: string): string {
		return typed.trim() === '' ? '' : (parseTypedDay(typed, this.today) ?? '');
	}

	/** An amount as it is typed; not a number for what is none. */
	#sum(typed: string): number {
		const read = typedAmount(typed, this.base);
		return typeof read === 'number' ? read : NaN;
	}
}
