import { and, eq, inArray } from 'drizzle-orm';
import { groupBy } from '../../../core/group-by';
import type { DocumentKind } from '../../../core/model/records';
import { chunks } from '../../platform/db/chunks';
import type { Reader } from '../../platform/db/open';
import { document } from '../../platform/db/schema';

/** What a document is known by. */
interface Named {
	readonly kind: DocumentKind;
	readonly number: string;
}

/** The name of a document among those of `documentsByNumber`. */
export const documentName = ({ kind, number }: Named): string => `${kind} ${number}`;

/**
 * The documents of the books that some are named as, by kind and number. Kind by kind, for that is how their index begins: by number alone
 * each question would read all documents.
 */
export async function documentsByNumber(
	db: Reader,
	named: readonly Named[]
): Promise<ReadonlyMap<string, { readonly total: number; readonly customerId: number }>> {
	const known = new Map<string, { total: number; customerId: number }>();
	for (const [kind, ofKind] of groupBy(named, (one) => one.kind))
		for (const part of chunks(ofKind.map((one) => one.number)))
			for (const { number, ...row } of await db
				.select({ number: document.number, total: document.total, customerId: document.customerId })
				.from(document)
				.where(and(eq(document.kind, kind), inArray(document.number, part))))
				known.set(documentName({ kind, number }), row);
	return known;
}
