/**
 * Whether two amounts (minor units) differ by two neighbouring digits that were swapped, as in 281.43 for 284.13: the slip of
 * somebody who types them off a page.
 */
export function swappedDigits(a: number, b: number): boolean {
	if (a === b || (a - b) % 9 !== 0) return false;
	const [left, right] = [String(a), String(b)];
	if (left.length !== right.length) return false;
	let i = 0;
	while (left[i] === right[i]) i++;
	return left[i] === right[i + 1] && left[i + 1] === right[i] && left.slice(i + 2) === right.slice(i + 2);
}
