import type { JournalLine } from '../model/journal';
import { minor, type Minor } from '../money/minor';

/** What a journal is out by, per currency and in base currency (key "base"); empty when it balances. */
export function imbalance(
	lines: readonly Pick<JournalLine, 'currency' | 'amount' | 'base'>[]
): Map<string, Minor> {
	const sums = new Map<string, number>();
	for (const line of lines) {
		sums.set(line.currency, (sums.get(line.currency) ?? 0) + line.amount);
		sums.set('base', (sums.get('base') ?? 0) + line.base);
	}
	return new Map([...sums].filter(([, sum]) => sum !== 0).map(([key, sum]) => [key, minor(sum)]));
}
