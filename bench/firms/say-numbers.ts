import type { OpenItem } from '../../src/lib/core/model/records';
import type { Chance } from '../../src/demo/random';
import type { Series } from './series';

/** The digits of a number that run on, found by how its series writes two others. */
function running(item: OpenItem, series: Series): string {
	const runs = item.number.match(/\d+/g)!;
	const [a, b] = [series.number(series.first).match(/\d+/g)!, series.number(series.first + 7).match(/\d+/g)!];
	const at = a.findIndex((run, i) => run !== b[i]);
	return runs[at] ?? runs.at(-1)!;
}

/** A number as somebody writes it: as it is, or without its prefix, zeros, signs or year. */
export function sayNumber(item: OpenItem, series: Series, random: Chance, loosely: boolean): string {
	if (!loosely) return item.number;
	const digits = running(item, series);
	return random.pick([
		item.number.replace(/[^\p{L}\p{N}]/gu, ''),
		item.number.replace(/[^\p{L}\p{N}]/gu, ' '),
		item.number.toLowerCase(),
		digits,
		digits.replace(/^0+/, ''),
		item.number.replace(/[/.]/g, '-'),
		item.number.replace(/(\p{L})(?=\d)/u, '$1 '),
		`#${digits}`,
		`No.${item.number}`
	]);
}

/** Numbers in a row, with the separators that people use; shortened to their ends at times. */
export function sayNumbers(
	items: readonly OpenItem[],
	series: Series,
	random: Chance,
	noise: number
): string {
	const digits = items.map((item) => running(item, series));
	if (random.yes(noise / 4) && digits.every((one) => one.length === digits[0]!.length && one.length >= 4))
		return digits.map((one, i) => (i === 0 ? one : one.slice(-2))).join('/');
	if (random.yes(noise / 2)) return digits.join(random.pick([' ', ', ', ' + ', ' und ', ';']));
	const joint =
		items[0]!.number.includes('/') || items[0]!.number.includes(' ')
			? ', '
			: random.pick([' ', ', ', '; ', ' + ', ' / ', ' & ']);
	return items.map((item) => item.number).join(joint);
}

/** A number with one slip in its running digits: a letter for a digit, two swapped, one wrong. */
export function spoilNumber(item: OpenItem, series: Series, random: Chance): string {
	const digits = running(item, series);
	const at = digits.length - 1 - random.int(0, 1);
	const wrong = random.pick([
		digits.replace('0', 'O').replace(/1(?=\d$)/, 'l'),
		digits.slice(0, at - 1) + digits[at] + digits[at - 1] + digits.slice(at + 1),
		digits.slice(0, at) + String((Number(digits[at]) + random.int(1, 8)) % 10) + digits.slice(at + 1)
	]);
	return item.number.replace(digits, wrong);
}
