import { nameKey } from '../../../core/text/name-key';
import type { Tx } from '../../platform/db/open';
import { readSetting, writeSetting } from '../../firm/store/settings';

/** Remembers where money of a name goes that is not a customer's. */
export async function rememberAside(tx: Tx, payerName: string, account: string, by: string): Promise<void> {
	const rules = (await readSetting(tx, 'asideRules')) ?? {};
	await writeSetting(tx, 'asideRules', { ...rules, [nameKey(payerName)]: { account, by } });
}
