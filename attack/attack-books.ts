import { hashPassword } from 'better-auth/crypto';
import { cpSync, mkdirSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { DEMO_TODAY } from '../src/demo/firm';
import { makeBooks } from '../src/demo/make-books';
import { must } from '../src/demo/must';
import { perform } from '../src/lib/server/act/perform';
import { APPLICATION, type Role } from '../src/lib/server/act/person';
import { addPersonWithPassword } from '../src/lib/server/people/commands/people';
import { config } from '../src/lib/server/platform/config';
import { openBooks } from '../src/lib/server/platform/db/open';
import { importBankFile } from '../src/lib/server/receipts/commands/import-bank-file';
import { readBankFile } from '../src/lib/server/receipts/store/read-bank-file';

export const PASSWORD = 'twenty pairs of hands';

/** People of the attack, beside the demo's three. */
export const PEOPLE: readonly { readonly name: string; readonly email: string; readonly role: Role }[] =
	Array.from({ length: 20 }, (_, i) => ({
		...{ name: `Hand ${i + 1}`, email: `hand${i + 1}@ashlock-kiln.example` },
		role: i % 7 === 0 ? 'supervisor' : 'clerk'
	}));

/** Makes the demo's books with today's bank files in them, and twenty people more, in a folder of their own. */
export async function attackBooks(): Promise<string> {
	const folder = mkdtempSync(join(tmpdir(), 'odd-penny-attack-'));
	const books = await openBooks(`file:${join(folder, 'odd-penny.db')}`, {
		migrations: join(config().root, 'drizzle')
	});
	const { todaysFiles } = await makeBooks(books);
	const ctx = { who: APPLICATION, today: DEMO_TODAY, now: () => `${DEMO_TODAY}T16:30:00.000Z` };
	const passwordHash = await hashPassword(PASSWORD);
	for (const person of PEOPLE)
		await must(perform(books, addPersonWithPassword, { ...person, passwordHash }, ctx));
	for (const file of todaysFiles.filter(({ name }) => name.endsWith('.xml'))) {
		const read = await readBankFile(file.name, Readable.from([Buffer.from(file.text)]));
		if (!read.ok) throw new Error(`${file.name} was refused`);
		await must(perform(books, importBankFile, read.value, ctx));
	}
	await books.close();
	return folder;
}

/** The same books again, in another folder. */
export function copyOf(folder: string): string {
	const copy = mkdtempSync(join(tmpdir(), 'odd-penny-attack-'));
	mkdirSync(copy, { recursive: true });
	cpSync(folder, copy, { recursive: true });
	return copy;
}
