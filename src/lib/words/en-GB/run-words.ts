import type { LetterKind, StatementAsked, StatementKind } from '../../core/7-letters/letter';
import type { StatementDay, StatementsDue } from '../../core/7-letters/statement-schedule';
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
	return `${name}, ${STATEMENT_KIND_WORDS[statement.kind]} ${shortDay(statement.from)} to ${to}`;
}

/** When statements come round, as a choice. */
export const STATEMENT_DAY_WORDS: Readonly<Record<StatementDay, string>> = {
	none: 'when somebody asks for them',
	'first-workday': 'on the first working day of the month',
	'last-workday': 'on the last working day of the month',
	monday: 'every Monday',
	tuesday: 'every Tuesday',
	wednesday: 'every Wednesday',
	thursday: 'every Thursday',
	friday: 'every Friday'
};

/** What kind of statement it is, as a choice. */
export const STATEMENT_KIND_WORDS: Readonly<Record<StatementKind, string>> = {
	open: 'open items',
	activity: 'activity',
	forward: 'balance forward'
};

/** That statements came round: "Statements came round on 1 Oct: open items at 30 Sep 2026." */
export function statementsDueSentence({ on, statement }: StatementsDue, today?: string): string {
	const { kind, from, to } = statement;
	const days = from === null ? `at ${shortDay(to)}` : `${shortDay(from)} to ${shortDay(to)}`;
	return `They came round on ${shortDay(on, today)}: ${STATEMENT_KIND_WORDS[kind]} ${days}.`;
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
