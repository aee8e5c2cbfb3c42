import type { LetterKind } from '../letter-kind';
import { isBlock } from './placeholders';
import { readTemplate, type TemplateFault } from './read-template';
import type { Wording } from './wording';

export type WordingField = 'title' | 'subject' | 'greeting' | 'body' | 'closing' | 'sender' | 'fromName';

/** What is wrong with a wording, and in which of its fields. */
export interface WordingFault {
	readonly field: WordingField;
	/** `not-alone`: what stands for a part of its own shares its line with other words. */
	readonly why: TemplateFault['why'] | 'not-alone';
	readonly what: string;
	readonly near: string | null;
}

/** Everything that keeps a wording from being sent: placeholders that there are not, braces left open, parts within a sentence. */
export function checkWording(wording: Wording, kind: LetterKind): WordingFault[] {
	const lines = LINES.flatMap((field) => [
		...faultsOf(wording[field], kind, field),
		...notAlone(wording[field], kind, field, false)
	]);
	const body = wording.body.flatMap((block) => [
		...(block.kind === 'paragraph' ? [block.runs] : block.items).flatMap((runs) => [
			// Each stretch by itself: a placeholder half of which is set in another look is not filled in.
			...runs.flatMap((run) => faultsOf(run.text, kind, 'body')),
			...notAlone(runs.map((run) => run.text).join(''), kind, 'body', block.kind === 'paragraph')
		])
	]);
	return [...lines, ...body];
}

const LINES = ['title', 'subject', 'greeting', 'closing', 'sender', 'fromName'] as const;

function faultsOf(text: string, kind: LetterKind, field: WordingField): WordingFault[] {
	return readTemplate(text, kind).faults.map(({ why, what, near }) => ({ field, why, what, near }));
}

function notAlone(text: string, kind: LetterKind, field: WordingField, mayBePart: boolean): WordingFault[] {
	const { parts } = readTemplate(text.trim(), kind);
	return parts.flatMap((part): WordingFault[] =>
		part.kind === 'placeholder' && isBlock(part.name) && !(mayBePart && parts.length === 1)
			? [{ field, why: 'not-alone', what: `{${part.name}}`, near: null }]
			: []
	);
}
