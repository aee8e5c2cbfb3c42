import { eq } from 'drizzle-orm';
import { receiptState } from '../../platform/db/schema';
import { defineLook } from '../../act/define-look';

/** Where a receipt is that is not in the pile: with a supervisor, or dealt with. */
export const whereReceiptIs = defineLook('reader', async (db, receiptId: number) => {
	const row = await db
		.select({ state: receiptState.state })
		.from(receiptState)
		.where(eq(receiptState.receiptId, receiptId))
		.get();
	return row?.state === 'in_approval' ? ('in_approval' as const) : ('dealt_with' as const);
});
