/** Adds values to the end of a list, however many: `push(...values)` hands each over on the stack, which ends at some 120,000. */
export function append<T>(list: T[], values: Iterable<T>): void {
	for (const value of values) list.push(value);
}
