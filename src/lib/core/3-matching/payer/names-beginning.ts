/** Not more of them are told apart. */
const NAMES_KEPT = 20;

/** The names of a sorted list that begin with a text; at most 20. */
export function namesBeginning(names: readonly string[], text: string): string[] {
	let [low, high] = [0, names.length];
	while (low < high) {
		const middle = (low + high) >> 1;
		if (names[middle]! < text) low = middle + 1;
		else high = middle;
	}
	const found: string[] = [];
	for (let i = low; i < names.length && names[i]!.startsWith(text) && found.length < NAMES_KEPT; i++)
		found.push(names[i]!);
	return found;
}
