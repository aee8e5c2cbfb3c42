import { statementFaultSentence } from './statement-fault-sentence';
import { count, moment } from './format';
import type { Imported } from '../../server/receipts/commands/import-bank-file';

/** Says what came of a file: what is new, what was there already, what was checked. */
export function importedSentence(result: Imported): string {
	if (result.before)
		return `${result.name} was brought in before, by ${result.before.who} on ${moment(result.before.at)}. Nothing was changed.`;
	const parts = [`${result.name}: ${count(result.entriesNew, 'new entry', 'new entries')}.`];
	if (result.entriesKnown > 0)
		parts.push(
			`${count(result.entriesKnown, 'entry was', 'entries were')} in the books already and stayed as they are.`
		);
	const notBooked = result.statements.reduce((sum, statement) => sum + statement.notBooked, 0);
	if (notBooked > 0)
		parts.push(
			`${count(notBooked, 'entry is', 'entries are')} not booked by the bank yet and will come again.`
		);
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
