import type { ChasingPolicy, StepAnchor, StepEffect, StepWay } from '$lib/core/7-letters/chasing/policy';
import { ZERO } from '$lib/core/money/minor';
import { plainAmount } from '$lib/words/plain-amount';
import { typedAmount } from '$lib/words/typed-amount';

/** A step as it is typed. */
export interface StepDraft {
	readonly id: string;
	name: string;
	/** Days after the step before, after the due day, or before it. */
	when: 'after-step' | 'after-due' | 'before-due';
	days: string;
	least: string;
	wording: string;
	way: StepWay;
	copies: string;
	attach: boolean;
	effect: StepEffect;
}

/** A way of chasing while somebody sets it. */
export class PolicyDraft {
	readonly id: string;
	readonly version: number;
	name = $state('');
	steps = $state<StepDraft[]>([]);
	/** Thanks after the last step, as they are typed; null for none. */
	thanks = $state<{ days: string; least: string; wording: string } | null>(null);
	#next = 0;

	/** @param base the currency of least amounts */
	constructor(
		policy: ChasingPolicy,
		private readonly base: string
	) {
		this.id = policy.id;
		this.version = policy.version;
		this.name = policy.name;
		this.thanks = policy.thanks
			? {
					...{ days: String(policy.thanks.days), wording: policy.thanks.wording },
					least: policy.thanks.least === 0 ? '' : plainAmount(policy.thanks.least, base)
				}
			: null;
		this.steps = policy.steps.map((step) => ({
			...{ id: step.id, name: step.name, wording: step.wording, way: step.way },
			when: step.after === 'step' ? 'after-step' : step.days < 0 ? 'before-due' : 'after-due',
			days: String(Math.abs(step.days)),
			least: step.least === 0 ? '' : plainAmount(step.least, base),
			...{ copies: step.copies.join(', '), attach: step.attach, effect: step.effect }
		}));
	}

	/** Thanks once what was chased is paid, or no longer. */
	setThanks(on: boolean): void {
		this.thanks = on ? { days: '3', least: '', wording: 'thanks' } : null;
	}

	/** Puts a step at the end. */
	add(): void {
		this.steps.push({
			...{ id: `new-${this.#next++}`, name: '', when: this.steps.length ? 'after-step' : 'after-due' },
			...{ days: '14', least: '', wording: 'reminder', way: 'usual', copies: '', attach: false },
			effect: 'nothing'
		});
	}

	takeOff(at: number): void {
		this.steps.splice(at, 1);
	}

	/** Moves a step by one place. */
	move(at: number, by: 1 | -1): void {
		const [step] = this.steps.splice(at, 1);
		if (step) this.steps.splice(at + by, 0, step);
	}

	/** What the act is given; what is no number is left as it is, so that the act says it at its field. */
	get given() {
		return {
			...{ id: this.id, name: this.name, version: this.version },
			thanks: this.thanks && {
				...{ days: wholeOf(this.thanks.days), least: this.#leastOf(this.thanks.least) },
				wording: this.thanks.wording
			},
			steps: this.steps.map((step) => {
				const days = wholeOf(step.days);
				return {
					...{ id: step.id, name: step.name, wording: step.wording, way: step.way, attach: step.attach },
					after: (step.when === 'after-step' ? 'step' : 'due') satisfies StepAnchor as StepAnchor,
					days: step.when === 'before-due' ? -days : days,
					least: this.#leastOf(step.least),
					copies: step.copies.split(/[\s,;]+/).filter(Boolean),
					effect: step.effect
				};
			})
		};
	}

	/** A least amount as it is typed; what cannot be read is refused by the act as one below nought. */
	#leastOf(text: string): number {
		const least = text.trim() === '' ? ZERO : typedAmount(text, this.base);
		return typeof least === 'number' ? least : -1;
	}
}

/** Days as they are typed; no number where they are none, so that the act says it at its field. */
function wholeOf(text: string): number {
	const typed = text.trim();
	return /^\d+$/.test(typed) ? Number(typed) : Number.NaN;
}
