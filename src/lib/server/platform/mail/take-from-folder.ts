import { mkdirSync, readdirSync, readFileSync, renameSync } from 'node:fs';
import { join } from 'node:path';
import type { TakeMail } from './mailbox';

/** Reads what the stand-in brought back, `.eml` files in a folder; what was read is moved into a folder within. */
export async function takeFromFolder(folder: string, take: TakeMail): Promise<void> {
	const read = join(folder, 'read');
	mkdirSync(read, { recursive: true });
	for (const name of readdirSync(folder).filter((one) => one.endsWith('.eml'))) {
		await take(readFileSync(join(folder, name)));
		renameSync(join(folder, name), join(read, name));
	}
}
