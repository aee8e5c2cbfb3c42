import { compareText } from '../compare-text';

/** Orders currencies: the firm's own first, then by their codes. */
export function currencyOrder(own: string): (a: string, b: string) => number {
	return (a, b) => (a === b ? 0 : a === own ? -1 : b === own ? 1 : compareText(a, b));
}
