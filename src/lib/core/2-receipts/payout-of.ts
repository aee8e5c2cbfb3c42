import { nameKey } from '../text/name-key';
import { remittancePhrases } from '../text/remittance-phrases';

/** An entry that looks like what a processor pays out: many payments in one sum, less a fee each. */
export interface Payout {
	/** Whose reports are known by that name; null where only the words say that it is a payout. */
	readonly processor: string | null;
}

/**
 * Whether an entry is a processor's payout: its payer is a known processor, or its words say so.
 * @param processors names whose reports were read before
 */
export function payoutOf(
	entry: { readonly amount: number; readonly payerName: string | null; readonly text: string },
	processors: readonly string[]
): Payout | null {
	if (entry.amount <= 0) return null;
	const payer = ` ${nameKey(entry.payerName ?? '')} `;
	const processor = processors.find((name) => {
		const key = nameKey(name);
		return key !== '' && payer.startsWith(` ${key} `);
	});
	if (processor) return { processor };
	return remittancePhrases(entry.text).payout ? { processor: null } : null;
}
