import { sql } from 'drizzle-orm';
import type { Posting } from '../../../core/model/posting';
import type { Tx } from '../../platform/db/open';
import { keepChanges } from './kept-items';

/** Writes how items stand after an act, and raises their versions. */
export async function changeItems(tx: Tx, actId: number, changes: Posting['changes']): Promise<void> {
	if (changes.length === 0) return;
	const rows = JSON.stringify(changes.map(({ itemId, open, openBase }) => [itemId, open, openBase]));
	await tx.run(sql`update item_state
		set open = rows.value ->> 1, open_base = rows.value ->> 2, version = version + 1, last_act_id = ${actId}
		from json_each(${rows}) as rows where item_state.item_id = rows.value ->> 0`);
	keepChanges(tx, changes);
}
