import type { LetterKind } from '$lib/core/7-letters/letter';
import { checkWording, type WordingField } from '$lib/core/7-letters/wording/check-wording';
import { isBlock, placeholdersFor, type Placeholder } from '$lib/core/7-letters/wording/placeholders';
import { readTemplate } from '$lib/core/7-letters/wording/read-template';
import type { RichText } from '$lib/core/7-letters/wording/rich-text';
import type { Wording } from '$lib/core/7-letters/wording/wording';
import { PLACEHOLDER_WORDS, wordingFault } from '$lib/words';
import type { MarkText } from './letter-editor';

/** The words of a letter while somebody writes them, checked as they are typed. */
export class WordingDraft {
	readonly kind: LetterKind;
	readonly #before: string;
	title = $state('');
	subject = $state('');
	greeting = $state('');
	body = $state.raw<RichText>([]);
	closing = $state('');
	sender = $state('');
	fromName = $state('');
	replyTo = $state('');

	readonly #faults = $derived.by(() => checkWording(this.words, this.kind));
	/** Whether it can be sent as it is. */
	readonly isRight = $derived(this.#faults.length === 0);
	readonly isChanged = $derived.by(() => JSON.stringify(this.words) !== this.#before);

	constructor(kind: LetterKind, words: Wording) {
		this.kind = kind;
		Object.assign(this, words);
		this.#before = JSON.stringify(this.words);
	}

	get words(): Wording {
		const { title, subject, greeting, body, closing, sender, fromName, replyTo } = this;
		return { title, subject, greeting, body, closing, sender, fromName, replyTo };
	}

	/** What is wrong in a field, in a sentence or several. */
	says(field: WordingField): string {
		return this.#faults
			.filter((fault) => fault.field === field)
			.map(wordingFault)
			.join(' ');
	}

	/** What it may be filled in with, in order. */
	get placeholders(): readonly Placeholder[] {
		return placeholdersFor(this.kind);
	}

	/** Shows placeholders in its text, and what is none. */
	readonly mark: MarkText = (text) => {
		const { parts, faults } = readTemplate(text, this.kind);
		let at = 0;
		const wrong = faults.map((fault) => ({
			...{ at: fault.at, length: fault.length, look: 'not-known' },
			says: wordingFault({ ...fault, field: 'body' })
		}));
		const known = parts.flatMap((part) => {
			if (part.kind === 'text') return [];
			const found = text.toLowerCase().indexOf(`{${part.name}}`, at);
			if (found < 0) return [];
			at = found + 1;
			return [
				{ at: found, length: part.name.length + 2, look: 'filled-in', says: PLACEHOLDER_WORDS[part.name] }
			];
		});
		return [...known, ...wrong];
	};
}

/** Whether a placeholder has a line to itself. */
export const hasOwnLine = (name: Placeholder): boolean => isBlock(name);
