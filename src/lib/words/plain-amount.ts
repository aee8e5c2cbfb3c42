import type { Minor } from '../core/money/minor';
import { toDecimal } from '../core/money/to-decimal';
import { decimalSign } from './conventions';

/** An amount as a spreadsheet of the firm's land reads it: no groups, a plain minus, its own sign before decimals. */
export function plainAmount(value: number, currency: string): string {
	return toDecimal(value as Minor, currency).replace('.', decimalSign());
}
