import { nameKey } from '../../../core/text/name-key';
import type { Reader, Tx } from '../../platform/db/open';
import { readSetting, writeSetting } from '../../firm/store/settings';

/** The ledger account on which money of this name is set aside from now on, or null. */
export async function asideRuleFor(db: Reader, payerName: string): Promise<string | null> {
	const rules = (await readSetting(db, 'asideRules')) ?? {};
	return rules[nameKey(payerName)]?.account ?? null;
}

/** Remembers where money of a name goes that is not a customer's. */
export async function rememberAside(tx: Tx, payerName: string, account: string, by: string): Promise<void> {
	const rules = (await readSetting(tx, 'asideRules')) ?? {};
	await writeSetting(tx, 'asideRules', { ...rules, [nameKey(payerName)]: { account, by } });
}
