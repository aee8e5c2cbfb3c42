import { expect, it } from 'vitest';
import { z } from 'zod';
import type { AnyAct } from './define-act';

/** Every act of the application, by the files that define them. */
const modules = import.meta.glob<Record<string, unknown>>(['../*/commands/*.ts', '!../**/*.test.ts'], {
	eager: true
});
const acts = Object.entries(modules)
	.flatMap(([, exports]) => Object.values(exports))
	.filter((one): one is AnyAct => typeof one === 'object' && one !== null && 'run' in one && 'kind' in one);

interface Shape {
	readonly type?: string;
	readonly maxLength?: number;
	readonly pattern?: string;
	readonly enum?: unknown;
	readonly const?: unknown;
	readonly maximum?: number;
	readonly maxItems?: number;
	readonly items?: Shape;
	readonly properties?: Readonly<Record<string, Shape>>;
	readonly additionalProperties?: Shape | boolean;
	readonly propertyNames?: Shape;
	readonly anyOf?: readonly Shape[];
	readonly allOf?: readonly Shape[];
	readonly prefixItems?: readonly Shape[];
}

/** Fields of an input that may be as long, or as many, as somebody likes. */
function unbounded(shape: Shape, path: string): string[] {
	const { type, anyOf, allOf } = shape;
	if (shape.enum !== undefined || shape.const !== undefined) return [];
	if (allOf) return allOf.some((one) => unbounded(one, path).length === 0) ? [] : unbounded(allOf[0]!, path);
	if (anyOf) return anyOf.flatMap((one) => unbounded(one, path));
	if (type === 'string') {
		const fixed =
			shape.pattern !== undefined && /^\^.*\$$/.test(shape.pattern) && !/[*+]/.test(shape.pattern);
		return shape.maxLength === undefined && !fixed ? [path] : [];
	}
	if (type === 'array')
		return [
			...(shape.maxItems === undefined && !shape.prefixItems ? [`${path}[]`] : []),
			...(shape.items ? unbounded(shape.items, `${path}[]`) : [])
		];
	if (type === 'object')
		return [
			...Object.entries(shape.properties ?? {}).flatMap(([name, own]) => unbounded(own, `${path}.${name}`)),
			...(typeof shape.additionalProperties === 'object'
				? unbounded(shape.additionalProperties, `${path}.*`)
				: []),
			...(shape.propertyNames ? unbounded(shape.propertyNames, `${path} (names)`) : [])
		];
	return [];
}

it('there are acts to look at', () => expect(acts.length).toBeGreaterThan(40));
it.each(acts.map((act) => [act.kind, act] as const))(
	'%s: every text and list of its input has a bound',
	(kind, act) => {
		const shape = z.toJSONSchema(act.input, { io: 'input', unrepresentable: 'any' }) as Shape;
		expect(unbounded(shape, kind)).toEqual([]);
	}
);
