import type { Reader } from '../../platform/db/open';
import { document } from '../../platform/db/schema';

/** Whether the books have any document. */
export async function hasDocuments(db: Reader): Promise<boolean> {
	return (await db.select({ id: document.id }).from(document).limit(1).all()).length > 0;
}
