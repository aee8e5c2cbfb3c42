/** Of JSON Schema (2020-12) what inputs of acts use. */
export interface Shape {
	readonly type?: string;
	readonly enum?: readonly unknown[];
	readonly const?: unknown;
	readonly items?: Shape;
	readonly properties?: Readonly<Record<string, Shape>>;
	readonly anyOf?: readonly Shape[];
	readonly oneOf?: readonly Shape[];
	readonly allOf?: readonly Shape[];
	readonly prefixItems?: readonly Shape[];
	readonly pattern?: string;
	readonly format?: string;
}

/** A value that looks as the shape says: one of everything, no list empty. */
export function someOf(shape: Shape): unknown {
	if (shape.const !== undefined) return shape.const;
	if (shape.enum) return shape.enum[0];
	const inner = shape.anyOf?.[0] ?? shape.oneOf?.[0] ?? shape.allOf?.[0];
	if (inner) return someOf(inner);
	if (shape.prefixItems) return shape.prefixItems.map(someOf);
	if (shape.type === 'array') return shape.items ? [someOf(shape.items)] : [];
	if (shape.type === 'object' || shape.properties)
		return Object.fromEntries(
			Object.entries(shape.properties ?? {}).map(([name, own]) => [name, someOf(own)])
		);
	if (shape.type === 'integer' || shape.type === 'number') return 1;
	if (shape.type === 'boolean') return false;
	if (shape.type === 'null') return null;
	if (shape.pattern?.includes('\\d{4}') || shape.format === 'date') return '2026-10-30';
	return 'x';
}

/** A value with each bad one in place of each of its parts, one at a time, and with each part left out. */
export function* variants(whole: unknown, bad: readonly unknown[]): Generator<unknown> {
	if (typeof whole !== 'object' || whole === null) return;
	for (const name of Object.keys(whole)) {
		const own = (whole as Record<string, unknown>)[name];
		const withPart = (part: unknown): unknown =>
			Array.isArray(whole)
				? whole.map((one, i) => (String(i) === name ? part : one))
				: { ...whole, [name]: part };
		yield Array.isArray(whole) ? [] : { ...whole, [name]: undefined };
		for (const one of bad) yield withPart(one);
		for (const inner of variants(own, bad)) yield withPart(inner);
	}
}
