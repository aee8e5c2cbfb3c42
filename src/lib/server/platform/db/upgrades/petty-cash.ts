import { and, eq, isNull } from 'drizzle-orm';
import { readSetting, writeSetting } from '../../../firm/store/settings';
import { manualReceipt, receipt } from '../schema';
import type { Tx } from '../types';
import { withRowsOpen } from './with-rows-open';

const WAS = 'petty cash';

/** That money stays in petty cash was a way in which it comes; it is where it goes now. @returns 0: every one can be told */
export async function pettyCashIsAPlace(tx: Tx): Promise<number> {
	await withRowsOpen(tx, 'receipt', () =>
		tx
			.update(receipt)
			.set({ isPettyCash: true })
			.where(and(eq(receipt.method, WAS), isNull(receipt.bankEntryId)))
	);
	await tx
		.update(manualReceipt)
		.set({ method: 'cash', isPettyCash: true })
		.where(eq(manualReceipt.method, WAS));
	const methods = await readSetting(tx, 'methods');
	if (methods) {
		const others = methods.filter((one) => one !== WAS);
		await writeSetting(tx, 'methods', others.includes('cash') ? others : [...others, 'cash']);
	}
	return 0;
}
