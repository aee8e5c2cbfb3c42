import type { LetterKind } from '$lib/core/7-letters/letter';
import type { RunRow } from '$lib/server/letters/queries/run-rows';
import { count, heldReason, LETTER_WAY_WORDS, shortDay } from '$lib/words';

/** What is to be said of an account of a run: its step, what holds it, when it was written to last. @param today days are written by it */
export function runRowSays(row: RunRow, kind: LetterKind, today: string | undefined): string {
	return [
		row.step ? `${row.step.name}, ${count(row.step.items, 'item')}` : '',
		row.nextStep && kind === 'reminder'
			? `next: ${row.nextStep.name} on ${shortDay(row.nextStep.day, today)}`
			: '',
		row.isUnderWay
			? 'being written'
			: row.held === 'paused'
				? `paused: ${row.because}`
				: row.held
					? `held: ${heldReason(row.held)}`
					: '',
		row.corrects ? `replaces the letter of ${shortDay(row.corrects, today)}` : '',
		!row.held && row.lastSent ? `last sent ${shortDay(row.lastSent, today)}` : '',
		row.way === 'mail' ? '' : LETTER_WAY_WORDS[row.way]
	]
		.filter(Boolean)
		.join('; ');
}
