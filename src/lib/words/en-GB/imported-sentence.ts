import { statementFaultSentence } from './statement-fault-sentence';
import { count, moment } from './format';
import type { Imported } from '../../server/receipts/commands/import-bank-file';
import type { ReportsTaken } from '../../server/receipts/store/take-reports';

/** Says what came of a file: what is new, what was there already, what was checked. */
export function importedSentence(result: Imported): string {
	if (result.before)
		return `${result.name} was brought in before, by ${result.before.who} on ${moment(result.before.at)}. Nothing was changed.`;
	const parts =
		result.statements.length > 0
			? [`${result.name}: ${count(result.entriesNew, 'new entry', 'new entries')}.`]
			: [`${result.name}.`];
	if (result.entriesKnown > 0)
		parts.push(
			`${count(result.entriesKnown, 'entry was', 'entries were')} in the books already and stayed as they are.`
		);
	const notBooked = result.statements.reduce((sum, statement) => sum + statement.notBooked, 0);
	if (notBooked > 0)
		parts.push(
			`${count(notBooked, 'entry is', 'entries are')} not booked by the bank yet and will come again.`
		);
	if (result.reports) parts.push(reportsSentence(result.reports));
	if (result.statements.length === 0) return parts.join(' ');
	const unchecked = result.statements.filter((statement) => !statement.balanceChecked);
	if (unchecked.length > 0)
		parts.push(
			`${count(unchecked.length, 'statement has', 'statements have')} no balances, so nothing could be checked against them.`
		);
	else if (result.statements.every((statement) => statement.fault === null))
		parts.push('The balance agrees.');
	for (const { fault } of result.statements) if (fault) parts.push(statementFaultSentence(fault));
	return parts.join(' ');
}

/** Says what came of a bank's reports: what waits for a statement, and what one lists already. */
function reportsSentence({ fresh, known, met, divided }: ReportsTaken): string {
	const parts = [];
	if (fresh > met)
		parts.push(
			`${count(fresh - met, 'entry is', 'entries are')} reported by the bank and ${fresh - met === 1 ? 'waits' : 'wait'} for its statement.`
		);
	if (met > 0) parts.push(`${count(met, 'entry is', 'entries are')} on a statement already.`);
	if (divided > 0)
		parts.push(
			`${count(divided, 'receipt was', 'receipts were')} divided into the payments that the bank tells of.`
		);
	if (known > 0) parts.push(`${count(known, 'entry was', 'entries were')} reported before.`);
	if (parts.length === 0) parts.push('It lists no entry.');
	return parts.join(' ');
}
