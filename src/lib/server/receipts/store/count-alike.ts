import { createHash } from 'node:crypto';
import { entryContent } from '../../../core/1-bank-files/fingerprint';
import type { StatementEntry } from '../../../core/model/bank';

/** A hash of what the bank wrote of an entry. */
export function contentHash(entry: StatementEntry): string {
	return createHash('sha256').update(entryContent(entry)).digest('hex').slice(0, 40);
}

/** The fingerprint of each entry of a list: its hash, and which of several alike it is. */
export function countAlike(entries: readonly StatementEntry[]): string[] {
	const next = new Map<string, number>();
	return entries.map((entry) => {
		const content = contentHash(entry);
		const n = next.get(content) ?? 0;
		next.set(content, n + 1);
		return `${content}:${n}`;
	});
}
