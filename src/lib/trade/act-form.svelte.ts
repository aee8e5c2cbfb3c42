import { deserialize } from '$app/forms';
import { goto, invalidateAll } from '$app/navigation';
import type { SubmitFunction } from '@sveltejs/kit';

import type { EntryDoubt } from '$lib/core/model/entry-doubt';
import { attributesOf, type FieldAttributes, type FieldFaults } from '$lib/ui/field-faults';
import { toast } from 'svelte-sonner';
import type { Asked } from '$lib/server/approvals/store/takes-two';
import type { Progress } from '$lib/server/platform/db/meter';
import { confirmYourself } from './confirm-yourself.svelte';
import type { Answered } from '$lib/server/platform/http/action';

/** What an act is given, and what it gives. */
export type GivenOf<A> = A extends { readonly input: { readonly _zod: { readonly input: infer G } } }
	? G
	: never;
export type OutputOf<A> = A extends { readonly run: (...args: never[]) => Promise<infer O> }
	? Exclude<O, Asked>
	: never;

export interface ActFormOptions<Output> {
	/** What is said where the server could not be reached or failed. */
	readonly otherwise?: string;
	/** What follows when it is done, before the page shows the books as they are now. */
	readonly done?: (answer: Answered<Output>) => void | Promise<void>;
	/** What is asked of a bank file's entries before it is done; the problems say it, too. */
	readonly asked?: (doubts: readonly EntryDoubt[]) => void;
	/** What is said where the act leads to another page. */
	readonly leaving?: () => void;
	/** Whether it may take long, so that how far it has come is asked for. */
	readonly measured?: boolean;
	/** Whether the page is loaded anew afterwards; it is, where this is left out. */
	readonly refresh?: boolean;
}

interface Failed {
	readonly problems?: readonly string[];
	readonly fields?: Readonly<Record<string, string>>;
	readonly codes?: readonly string[];
	readonly doubts?: readonly EntryDoubt[];
}

type Told = ({ readonly type: string } & Record<string, unknown>) | null;

/** Milliseconds between two questions how far something has come. */
const MEASURED_EVERY = 1_000;

let forms = 0;

/**
 * A form that does an act: its key is made when it is shown, so that sending it twice does it once; while it is on its way it is
 * busy; what the act refuses stands at its fields, the rest in `problems`; nothing that was typed is lost.
 */
export class ActForm<A, Given = GivenOf<A>> implements FieldFaults {
	busy = $state(false);
	/** How far it has come, where it is asked for; null before that is known. */
	progress = $state.raw<Progress | null>(null);
	#problems = $state.raw<readonly string[]>([]);
	#fields = $state.raw<Readonly<Record<string, string>>>({});
	/** Fields that show their errors themselves; the list leaves those out. */
	readonly #shownAtFields = new Set<string>();
	#key = crypto.randomUUID();
	readonly #id = `act-form-${++forms}`;
	readonly #action: string;
	readonly #options: ActFormOptions<OutputOf<A>>;

	constructor(action: string, options: ActFormOptions<OutputOf<A>> = {}) {
		this.#action = action;
		this.#options = options;
	}

	/** What stands at no field. */
	get problems(): readonly string[] {
		const atFields = new Set([...this.#shownAtFields].map((name) => this.#fields[name]));
		return this.#problems.filter((problem) => !atFields.has(problem));
	}

	/** Says something itself, such as that an amount cannot be read; an empty list takes all of it away. */
	say(...problems: readonly string[]): void {
		this.#problems = problems;
		this.#fields = {};
	}

	/** What is wrong in a field. */
	error(name: string): string | undefined {
		return this.#fields[name];
	}

	/** The id under which a field's error stands. */
	errorId(name: string): string {
		return `${this.#id}-${name}`;
	}

	/** For the field itself; from then on its error is shown beside it. */
	at(name: string): FieldAttributes {
		this.#shownAtFields.add(name);
		return attributesOf(this.error(name), this.errorId(name));
	}

	/** Says itself what is wrong in a field; null, so that nothing is sent. */
	sayAt(name: string, problem: string): null {
		this.#problems = [problem];
		this.#fields = { [name]: problem };
		return null;
	}

	/** Sends it without a form of HTML. Returns what the act gave, or null where it was refused. */
	async send(given: Given): Promise<Answered<OutputOf<A>> | null> {
		if (this.busy) return null;
		this.#begin();
		const body = new FormData();
		body.set('json', JSON.stringify(given));
		body.set('key', this.#key);
		return this.#take(await this.#post(this.#action, body), this.#action, body);
	}

	async #post(action: string, body: FormData): Promise<Told> {
		return fetch(action, { method: 'POST', body, headers: { 'x-sveltekit-action': 'true' } })
			.then(async (answer) => deserialize(await answer.text()))
			.catch(() => null);
	}

	/**
	 * For `use:enhance` of a form: sends its fields, or what is made of them.
	 * @param make what the act is given; null where it cannot be sent yet (the reason was said)
	 */
	submit(make?: (form: FormData) => Given | null): SubmitFunction {
		return ({ formData, action, cancel }) => {
			if (this.busy) return cancel();
			this.#begin();
			if (make) {
				const given = make(formData);
				if (given === null) {
					this.busy = false;
					return cancel();
				}
				for (const [name, value] of [...formData]) if (typeof value === 'string') formData.delete(name);
				formData.set('json', JSON.stringify(given));
			}
			formData.set('key', this.#key);
			return async ({ result, formElement }) => {
				const sent = make ? null : formElement;
				await this.#take(result, action.href, formData, () => sent?.reset());
			};
		};
	}

	#begin(): void {
		this.busy = true;
		this.progress = null;
		this.say();
		if (this.#options.measured) void this.#measure(this.#key);
	}

	/** Asks how far it has come, as long as it is on its way. */
	async #measure(key: string): Promise<void> {
		const wait = () => new Promise((resolve) => setTimeout(resolve, MEASURED_EVERY));
		for (await wait(); this.busy && this.#key === key; await wait()) {
			const told = await fetch(`/api/progress?key=${key}`).catch(() => null);
			if (told?.ok) this.progress = (await told.json()) as Progress | null;
		}
	}

	/** Takes what the server told; where it asks for the password first, that is asked, and the same sent again. */
	async #take(
		told: Told,
		action: string,
		body: FormData,
		empty: () => void = () => {}
	): Promise<Answered<OutputOf<A>> | null> {
		let result = told;
		if (asksForPassword(result)) {
			if (await confirmYourself.ask()) result = await this.#post(action, body);
		}
		this.busy = false;
		if (result?.type === 'failure') {
			const { problems, fields, doubts } = (result['data'] ?? {}) as Failed;
			if (doubts) this.#options.asked?.(doubts);
			this.#problems = problems?.length ? problems : [this.#otherwise];
			this.#fields = fields ?? {};
			return null;
		}
		if (result?.type === 'redirect') {
			this.#key = crypto.randomUUID();
			this.#options.leaving?.();
			await goto(result['location'] as string, { invalidateAll: true });
			return null;
		}
		if (result?.type !== 'success') {
			const told = result?.['error'] as { readonly message?: string; readonly failure?: string } | undefined;
			const number = told?.failure && ` Its number in the log is ${told.failure}.`;
			this.#problems = [(told?.message ?? this.#otherwise) + (number ?? '')];
			return null;
		}
		this.#key = crypto.randomUUID();
		const answer = result['data'] as unknown as Answered<OutputOf<A>>;
		// Before anybody is told: whoever goes on at once must not lose what they put there meanwhile.
		empty();
		if (isAsked(answer.output)) toast('Another supervisor is asked: it is done once they approve it.');
		else await this.#options.done?.(answer);
		if (this.#options.refresh ?? true) await invalidateAll();
		return answer;
	}

	get #otherwise(): string {
		return this.#options.otherwise ?? 'That did not work. What is typed is kept; try again.';
	}
}

function asksForPassword(result: Told): boolean {
	const { codes } = (result?.type === 'failure' ? (result['data'] ?? {}) : {}) as Failed;
	return codes?.includes('confirm-yourself') ?? false;
}

/** Whether it waits for a second person, and is not done yet. */
function isAsked(output: unknown): output is Asked {
	return typeof output === 'object' && output !== null && 'asked' in output;
}
