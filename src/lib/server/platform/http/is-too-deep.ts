/** Lists within lists, so many: no form has more, and what walks through them must not run out of stack. */
const DEEPEST = 50;

/** Whether plain values (as JSON has them) lie deeper within each other than any form has them. */
export function isTooDeep(value: unknown): boolean {
	let level: unknown[] = [value];
	for (let depth = 0; level.length > 0; depth++) {
		if (depth > DEEPEST) return true;
		level = level.flatMap((one) => (typeof one === 'object' && one !== null ? Object.values(one) : []));
	}
	return false;
}
