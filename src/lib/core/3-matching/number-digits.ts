/**
 * The digits that tell a document number from others of its series: the last run of digits, without leading zeros. "AK-40233"
 * gives 40233, "RE/2026/00071" gives 71; null where there is none.
 */
export function numberDigits(number: string): string | null {
	const found = /(\d+)\D*$/.exec(number);
	const digits = found?.[1]!.replace(/^0+/, '');
	return digits || null;
}
