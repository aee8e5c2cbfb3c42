import { eq } from 'drizzle-orm';
import { readSetting } from '../../../firm/store/settings';
import { setting, usualLine } from '../schema';
import type { Tx } from '../types';

/** Rules for money that is no customer's were a setting, by names; they are usual lines now. @returns none could not be told */
export async function rulesToUsualLines(tx: Tx): Promise<number> {
	const rules = await readSetting(tx, 'asideRules');
	for (const [name, { account, by }] of Object.entries(rules ?? {}))
		await tx
			.insert(usualLine)
			.values({ nameKey: name, kind: '', name, text: '', account, times: 0, setBy: by })
			.onConflictDoNothing();
	await tx.delete(setting).where(eq(setting.key, 'asideRules'));
	return 0;
}
