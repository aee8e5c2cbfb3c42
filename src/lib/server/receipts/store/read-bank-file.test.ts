import { createReadStream, readdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { expect, test } from 'vitest';
import { amount, problemSentence } from '../../../words';
import { readBankFile } from './read-bank-file';

const FOLDER = resolve('fixtures/bank-files');
const files = readdirSync(FOLDER).filter((name) => /\.(xml|sta|bai|ofx)$/.test(name));

/** What a file holds, a line for each statement, entry and payment within it; or why it is refused. */
async function asLines(file: string): Promise<string> {
	const read = await readBankFile(file, createReadStream(join(FOLDER, file)));
	if (!read.ok) return read.problems.map(problemSentence).join('\n');
	const lines = read.value.statements.flatMap(({ header, entries, notBooked, balanceChecked }) => [
		`${header.account}: ${entries.length} booked, ${notBooked} not yet, ${balanceChecked ? 'the balance agrees' : 'no balance to check'}`,
		...entries.flatMap((entry) => [
			`  ${entry.booked} ${amount(entry.amount, entry.currency)} ${entry.currency} ${entry.bankReference}${entry.reversal ? ' reversal' : ''} ${entry.text}`.trimEnd(),
			...entry.details.map(
				(one) =>
					`    ${one.amount === null ? 'not an amount' : amount(one.amount, entry.currency)} ${one.counterpartyName ?? 'nobody'}: ${one.text}`
			)
		])
	]);
	return lines.join('\n');
}

test.each(files)('%s', async (file) => {
	await expect(`${await asLines(file)}\n`).toMatchFileSnapshot(join(FOLDER, file.replace(/\.\w+$/, '.txt')));
});

test('there are files of both kinds', () => expect(files.length).toBeGreaterThan(6));
