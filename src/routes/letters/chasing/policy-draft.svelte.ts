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
	#next = 0;

	/** @param base the currency of least amounts */
	constructor(
		policy: ChasingPolicy,
		private readonly base: string
	) {
		this.id = policy.id;
		this.version = policy.version;
		this.name = policy.name;
		this.steps = policy.steps.map((step) => ({
			...{ id: step.id, name: step.name, wording: step.wording, way: step.way },
			when: step.after === 'step' ? 'after-step' : step.days < 0 ? 'before-due' : 'after-due',
			days: String(Math.abs(step.days)),
			least: step.least === 0 ? '' : plainAmount(step.least, base),
			...{ copies: step.copies.join(', '), attach: step.attach, effect: step.effect }
		}));
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
			steps: this.steps.map((step) => {
				const typed = step.days.trim();
				const days = /^\d+$/.test(typed) ? Number(typed) : Number.NaN;
				const least = step.least.trim() === '' ? ZERO : typedAmount(step.least, this.base);
				return {
					...{ id: step.id, name: step.name, wording: step.wording, way: step.way, attach: step.attach },
					after: (step.when === 'after-step' ? 'step' : 'due') satisfies StepAnchor as StepAnchor,
					days: step.when === 'before-due' ? -days : days,
					// An amount that cannot be read is refused as one below nought.
					least: typeof least === 'number' ? least : -1,
					copies: step.copies.split(/[\s,;]+/).filter(Boolean),
					effect: step.effect
				};
			})
		};
	}
}
