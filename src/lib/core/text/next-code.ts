/**
 * The code that a new customer account gets where nobody chose one: as the newest is made, one on. Where the newest begins with the
 * first letter of its name, so does the new one.
 * @param newest the account that was opened last, or null in empty books
 */
export function nextCode(
	newest: { readonly code: string; readonly name: string } | null,
	name: string
): string {
	const [, prefix = '', digits = ''] = /^(.*\D|)(\d+)$/.exec(newest?.code ?? '') ?? [];
	if (!newest || !digits) return `${initial(name)}1001`;
	const next = String(BigInt(digits) + 1n).padStart(digits.length, '0');
	const follows = prefix.length === 1 && prefix === initial(newest.name);
	return `${follows ? initial(name) : prefix}${next}`;
}

/** The first letter of a name, without its accent. */
function initial(name: string): string {
	const plain = name.normalize('NFD').toUpperCase();
	return /[A-Z]/.exec(plain)?.[0] ?? 'C';
}
