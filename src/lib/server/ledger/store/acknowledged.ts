import type { Reader } from '../../platform/db/open';
import { acknowledgedFinding } from '../../platform/db/schema';

/** What was put down with a reason, as keys to look up. */
export async function acknowledged(db: Reader): Promise<{
	readonly count: number;
	record(id: number, state: string): boolean;
	foreign(id: number): boolean;
}> {
	const rows = await db.select().from(acknowledgedFinding);
	const keys = new Set(rows.map(({ kind, ref, state }) => `${kind} ${ref} ${state}`));
	return {
		count: rows.length,
		record: (id, state) => keys.has(`record ${id} ${state}`),
		foreign: (id) => keys.has(`foreign ${id} `)
	};
}
