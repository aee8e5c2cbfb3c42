/** A rate in millionths as it is read: four decimals, or six where it needs them. 858000 is "0.8580". */
export function rateText(millionths: number): string {
	const text = String(millionths).padStart(7, '0');
	const [whole, fraction] = [text.slice(0, -6), text.slice(-6)];
	return `${whole}.${fraction.endsWith('00') ? fraction.slice(0, 4) : fraction}`;
}
