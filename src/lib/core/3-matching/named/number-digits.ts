/**
 * The digits that tell a document number from others of its series: its longest run of digits, the last of equally long ones, but
 * no year where there is another; without leading zeros. "AK-40233" gives 40233, "RE/2026/00071" gives 71, "K.1837-26" gives
 * 1837; null where there is none.
 */
export function numberDigits(number: string): string | null {
	const runs = number.match(/\d+/g) ?? [];
	const plain = runs.filter((run) => !/^(19|20)\d\d$/.test(run));
	const [best] = [...(plain.length ? plain : runs)].reverse().sort((a, b) => b.length - a.length);
	return best?.replace(/^0+/, '') || null;
}
