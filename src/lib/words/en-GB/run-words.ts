import type { LetterKind, StatementAsked } from '../../core/7-letters/letter';
import type { RunCounts } from '../../core/model/run-counts';
import { count, shortDay } from './format';
import { LETTER_NAMES } from './letter-words';

/** What a run of letters is: "Statements, activity 1 Oct 2026 to 30 Oct 2026". */
export function runTitle({
	kind,
	statement
}: {
	readonly kind: LetterKind;
	readonly statement: StatementAsked | null;
}): string {
	const name = `${LETTER_NAMES[kind]}s`;
	if (!statement) return name;
	const to = shortDay(statement.to);
	if (statement.from === null) return `${name}, open items at ${to}`;
	const what = statement.kind === 'activity' ? 'activity' : 'balance forward';
	return `${name}, ${what} ${shortDay(statement.from)} to ${to}`;
}

/** How far a run has come: what is still to be done first, then what is done. */
export function runProgress({
	counts,
	isPaused
}: {
	readonly counts: RunCounts;
	readonly isPaused: boolean;
}): string {
	const parts = [
		isPaused ? 'paused' : '',
		counts.toWrite > 0 ? `${counts.toWrite} to write` : '',
		counts.waiting > counts.later ? `${counts.waiting - counts.later} waiting` : '',
		counts.later > 0 ? `${counts.later} to be tried again` : '',
		counts.toPrint > 0 ? `${counts.toPrint} to print` : '',
		counts.held > 0 ? `${counts.held} held` : '',
		counts.refused > 0 ? `${counts.refused} not taken` : '',
		counts.sent > 0 ? `${counts.sent} sent` : '',
		counts.printed > 0 ? `${counts.printed} printed` : '',
		counts.withdrawn > 0 ? `${counts.withdrawn} withdrawn` : ''
	].filter(Boolean);
	return parts.join(', ') || count(counts.all, 'letter');
}
