import { max } from 'drizzle-orm';
import type { ActKind } from '../../../core/model/act-facts';
import { err, ok, type Result } from '../../../core/result';
import type { Act, CallContext } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { performIn } from '../../act/perform';
import type { Books } from '../../platform/db/open';
import { act as actTable } from '../../platform/db/schema';
import { postedSince, itemsSince, type Rehearsed } from './rehearse';

/** Takes the transaction back, and brings what was read in it. */
class Seen extends Error {
	constructor(readonly rehearsed: Rehearsed) {
		super('seen, and taken back');
	}
}

/** What an act would post, to the line: it is done, looked at, and taken back. What it refuses comes back as problems. */
export async function previewAct<K extends ActKind, Given, Input, Output>(
	books: Books,
	act: Act<K, Given, Input, Output>,
	given: Given,
	call: Omit<CallContext, 'key'>
): Promise<Result<Rehearsed>> {
	try {
		await books.write(async (tx) => {
			const [last] = await tx.select({ id: max(actTable.id) }).from(actTable);
			await performIn(tx, act, given, { ...call, key: undefined });
			const after = last?.id ?? 0;
			throw new Seen({ lines: await postedSince(tx, after), items: await itemsSince(tx, after) });
		});
	} catch (cause) {
		if (cause instanceof Seen) return ok(cause.rehearsed);
		if (cause instanceof DomainError) return err(...cause.problems);
		throw cause;
	}
	throw new Error('a preview was not taken back');
}
