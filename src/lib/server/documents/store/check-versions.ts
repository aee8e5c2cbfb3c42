import { eq } from 'drizzle-orm';
import type { OpenItem } from '../../../core/model/records';
import type { Problem } from '../../../core/problems';
import { DomainError } from '../../act/domain-error';
import type { Tx } from '../../platform/db/open';
import { act, itemState } from '../../platform/db/schema';

/** Refuses where an item is no longer as it was seen, naming who changed it and what is open now. */
export async function checkVersions(
	tx: Tx,
	seen: readonly { readonly itemId: number; readonly version: number }[],
	items: ReadonlyMap<number, OpenItem>
): Promise<void> {
	const problems: Problem[] = [];
	for (const { itemId, version } of seen) {
		const now = items.get(itemId)!;
		if (now.version === version) continue;
		const last = await tx
			.select({ who: act.userName, at: act.at })
			.from(itemState)
			.innerJoin(act, eq(act.id, itemState.lastActId))
			.where(eq(itemState.itemId, itemId))
			.get();
		const { number, open, currency } = now;
		problems.push({
			code: 'item-changed',
			item: number,
			who: last?.who ?? '',
			at: last?.at ?? '',
			open,
			currency
		});
	}
	if (problems.length > 0) throw new DomainError(...problems);
}
