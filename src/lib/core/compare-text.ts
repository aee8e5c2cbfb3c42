/** Orders texts by their UTF-16 units, as days and codes sort; not by any language. */
export function compareText(a: string, b: string): number {
	return a < b ? -1 : a > b ? 1 : 0;
}
