/**
 * Whether a transaction of a type code adds (1) or takes away (−1): 100 to 399 are credits, 400 to 699 debits, 920 to 959 a bank's own credits,
 * 960 to 999 its own debits (BAI, Cash Management Balance Reporting Specifications, version 2, appendix A). Null for what moves no money.
 */
export function typeSign(code: string): 1 | -1 | null {
	const number = /^\d{3}$/.test(code) ? Number(code) : 0;
	if ((number >= 100 && number <= 399) || (number >= 920 && number <= 959)) return 1;
	if ((number >= 400 && number <= 699) || number >= 960) return -1;
	return null;
}
