/** The number of a row that an address names: a whole number from 1 up; null for nothing, or for what is none. */
export function rowNumber(text: string | null | undefined): number | null {
	return text && /^[1-9]\d{0,14}$/.test(text) ? Number(text) : null;
}

/** A whole number from nought up that an address says; null for what is none. */
export function countIn(text: string | null): number | null {
	return text && /^\d{1,9}$/.test(text) ? Number(text) : null;
}

/** So many rows an address names at most: no payment is spread over more accounts, none settles more items by an address. */
const ROWS_AT_ONCE = 500;

/** The numbers of rows that an address names, separated by commas; what is none is passed over. */
export function rowNumbers(text: string | null): number[] {
	return (text ?? '')
		.split(',', ROWS_AT_ONCE)
		.map(rowNumber)
		.filter((id) => id !== null);
}
