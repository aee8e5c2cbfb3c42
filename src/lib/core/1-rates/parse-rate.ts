/** A positive decimal figure as a whole number over a power of ten; null where it is none. Commas are no decimal points. */
export function parseRate(text: string): { units: bigint; scale: bigint } | null {
	const found = /^(\d{1,12})(?:\.(\d{1,12}))?$/.exec(text.trim());
	if (!found) return null;
	const fraction = found[2] ?? '';
	const units = BigInt(found[1]! + fraction);
	return units > 0n ? { units, scale: 10n ** BigInt(fraction.length) } : null;
}
