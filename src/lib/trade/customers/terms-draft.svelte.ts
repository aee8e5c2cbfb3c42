import type { Terms, TermsFrom } from '../../core/model/customer-details';
import { typedPercent, typedWhole } from './typed-numbers';

/** One instalment as it is typed; its key stays where others are taken off. */
interface PartDraft {
	readonly key: number;
	percent: string;
	days: string;
}

/** Terms of payment as they are typed. */
export class TermsDraft {
	termsDays = $state('30');
	termsFrom = $state<TermsFrom>('issue');
	parts = $state<PartDraft[]>([]);
	discount = $state('');
	discountDays = $state('');
	#nextPart = 0;

	constructor(terms: Terms | null) {
		if (terms) this.fill(terms);
	}

	/** Puts terms in place of what was typed. */
	fill(terms: Terms): void {
		this.termsDays = String(terms.termsDays);
		this.termsFrom = terms.termsFrom;
		this.parts = terms.termsParts.map(({ basisPoints, days }) => ({
			...{ key: this.#nextPart++, percent: String(basisPoints / 100), days: String(days) }
		}));
		this.discount = terms.discountBasisPoints === null ? '' : String(terms.discountBasisPoints / 100);
		this.discountDays = terms.discountDays === null ? '' : String(terms.discountDays);
	}

	/** One instalment more, a month after the last; the first two are halves. */
	addPart(): void {
		if (this.parts.length === 0) this.#push('50', this.termsDays);
		this.#push(this.parts.length === 1 ? '50' : '', String((Number(this.parts.at(-1)!.days) || 0) + 30));
	}

	/** Takes an instalment off; the last one alone is all of it. */
	dropPart(at: number): void {
		this.parts.splice(at, 1);
		if (this.parts.length === 1) {
			this.termsDays = this.parts[0]!.days;
			this.parts = [];
		}
	}

	/** What the act is given. Numbers that are none are not numbers there, too, so that the act says it at their fields. */
	given() {
		const parts = this.parts.map(({ percent, days }) => ({
			...{ basisPoints: typedPercent(percent) ?? NaN, days: typedWhole(days) ?? NaN }
		}));
		return {
			termsDays: parts.at(-1)?.days ?? typedWhole(this.termsDays) ?? NaN,
			termsFrom: this.termsFrom,
			termsParts: parts,
			discountBasisPoints: typedPercent(this.discount),
			discountDays: typedWhole(this.discountDays)
		};
	}

	#push(percent: string, days: string): void {
		this.parts.push({ key: this.#nextPart++, percent, days });
	}
}
