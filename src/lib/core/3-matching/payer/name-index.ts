import { nameKey } from '../../text/name-key';
import { fullName, spelledName } from './full-name';
import { NearNames } from './near-names';
import { partsOfName } from './parts-of-name';

/** The names of customers as matching looks them up; those of all customers, whoever's money waits. */
export interface NameIndex {
	readonly byName: ReadonlyMap<string, readonly number[]>;
	/** All names as they are compared, sorted. */
	readonly names: readonly string[];
	/** The same with their legal forms. */
	readonly byFullName: ReadonlyMap<string, readonly number[]>;
	readonly fullNames: readonly string[];
	/** The names by what they are nearly; made when first asked for. */
	readonly near: () => NearNames;
	/** The names of a customer as they are written. */
	readonly namesOf: (customerId: number) => readonly string[];
}

/** Indexes names by the ids of their customers. */
export function indexNames(namesOf: ReadonlyMap<number, readonly string[]>): NameIndex {
	const byName = new Map<string, number[]>();
	const byFullName = new Map<string, number[]>();
	for (const [id, own] of [...namesOf].sort(([a], [b]) => a - b))
		for (const name of own.flatMap(partsOfName)) {
			put(byName, nameKey(name), id);
			put(byFullName, fullName(name), id);
			put(byFullName, spelledName(name), id);
		}
	const names = [...byName.keys()].sort();
	let near: NearNames | null = null;
	return {
		...{ byName, names, byFullName, fullNames: [...byFullName.keys()].sort() },
		near: () => (near ??= new NearNames(names)),
		namesOf: (id) => namesOf.get(id) ?? []
	};
}

/** Adds to a list of values, each once. */
export function put<K, V>(map: Map<K, V[]>, key: K, value: V): void {
	const list = map.get(key);
	if (!list) map.set(key, [value]);
	else if (!list.includes(value)) list.push(value);
}
