import { minor, type Minor } from './minor';

/** Sum of amounts of one currency; none gives 0. Throws RangeError where the sum leaves the safe integers. */
export function add(...amounts: readonly Minor[]): Minor {
	let sum = 0;
	for (const amount of amounts) sum += amount;
	return minor(sum);
}

/** Sum of one figure taken from each row. */
export function sumOf<T>(rows: Iterable<T>, pick: (row: T) => Minor): Minor {
	let sum = 0;
	for (const row of rows) sum += pick(row);
	return minor(sum);
}
