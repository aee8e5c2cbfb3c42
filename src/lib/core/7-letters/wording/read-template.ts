import type { LetterKind } from '../letter-kind';
import { placeholdersFor, type Placeholder } from './placeholders';

/** So many in one text: more are a slip, and would take long to fill in. */
export const MOST_PLACEHOLDERS = 100;

export type TemplatePart =
	| { readonly kind: 'text'; readonly text: string }
	| { readonly kind: 'placeholder'; readonly name: Placeholder };

/** What is wrong with a text that is to be filled in, and where. */
export interface TemplateFault {
	readonly why: 'unknown' | 'not-closed' | 'not-opened' | 'too-many';
	/** What was written. */
	readonly what: string;
	/** The nearest one that there is; null where none is near. */
	readonly near: Placeholder | null;
	/** Where it stands, in UTF-16 units from nought. */
	readonly at: number;
	readonly length: number;
}

export interface ReadTemplate {
	readonly parts: readonly TemplatePart[];
	readonly faults: readonly TemplateFault[];
}

/** Reads a text with placeholders in braces, such as `Dear {contact}`. Braces stand for nothing else. */
export function readTemplate(text: string, kind: LetterKind): ReadTemplate {
	const known = placeholdersFor(kind);
	const parts: TemplatePart[] = [];
	const faults: TemplateFault[] = [];
	const fault = (why: TemplateFault['why'], at: number, length: number, near: Placeholder | null = null) =>
		faults.push({ why, what: text.slice(at, at + length), near, at, length });
	let at = 0;
	let found = 0;
	for (const match of text.matchAll(/\{([^{}]*)\}|[{}]/g)) {
		const [whole, inside] = match;
		if (match.index > at) parts.push({ kind: 'text', text: text.slice(at, match.index) });
		at = match.index + whole.length;
		if (inside === undefined) {
			fault(whole === '{' ? 'not-closed' : 'not-opened', match.index, 1);
			continue;
		}
		const written = inside.trim().toLowerCase();
		const name = known.find((one) => one === written);
		if (name === undefined) fault('unknown', match.index, whole.length, nearest(written, known));
		else if (++found > MOST_PLACEHOLDERS) fault('too-many', match.index, whole.length);
		else parts.push({ kind: 'placeholder', name });
		if (faults.length > MOST_PLACEHOLDERS) break;
	}
	if (at < text.length) parts.push({ kind: 'text', text: text.slice(at) });
	return { parts, faults };
}

/** The one that was meant, where a letter or two are wrong. */
function nearest(written: string, known: readonly Placeholder[]): Placeholder | null {
	const plain = written.replace(/[\s_]+/g, '-').slice(0, 40);
	const [best] = known
		.map((name) => ({ name, steps: editSteps(plain, name) }))
		.sort((a, b) => a.steps - b.steps);
	return best && best.steps <= Math.max(1, Math.floor(best.name.length / 3)) ? best.name : null;
}

/** How many signs have to be put in, taken out or changed to make one text the other (Levenshtein distance). */
function editSteps(a: string, b: string): number {
	let row = Array.from({ length: b.length + 1 }, (_, n) => n);
	for (let i = 1; i <= a.length; i++) {
		const next = [i];
		for (let j = 1; j <= b.length; j++)
			next.push(Math.min(row[j]! + 1, next[j - 1]! + 1, row[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1)));
		row = next;
	}
	return row[b.length]!;
}
