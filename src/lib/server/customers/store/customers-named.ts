import { sql } from 'drizzle-orm';
import { referenceKey } from '../../../core/text/words-of-text';
import type { Reader } from '../../platform/db/open';
import { customer } from '../../platform/db/schema';
import { mergedAccounts } from './merged-accounts';

export interface NamedCustomer {
	readonly id: number;
	readonly currency: string;
}

/** Longer texts name nobody, in UTF-16 units. */
const LONGEST = 200;

/**
 * The customers that texts name: by code or whole name, else by document number, else by a part of the name; whether letters are
 * capital does not matter. All texts are looked up together, however many they are.
 * @returns for each text the customers that fit, two at most: more say no more than that it is not clear
 */
export async function customersNamed(
	db: Reader,
	texts: Iterable<string>
): Promise<ReadonlyMap<string, readonly NamedCustomer[]>> {
	const found = new Map<string, readonly NamedCustomer[]>();
	const asked = [...new Set(texts)].filter((text) => text !== '' && text.length <= LONGEST);
	if (asked.length === 0) return found;
	const all = await db
		.select({ id: customer.id, code: customer.code, name: customer.name, currency: customer.currency })
		.from(customer)
		.orderBy(customer.id);
	const merged = await mergedAccounts(db);
	// One that is seen as another is found as that.
	const now = ({ id, currency }: NamedCustomer) => ({ id: merged.get(id) ?? id, currency });
	const exact = new Map<string, NamedCustomer[]>();
	for (const { id, currency, code, name } of all)
		for (const key of new Set([code.toLowerCase(), name.toLowerCase()])) {
			const same = exact.get(key);
			if (same) same.push({ id, currency });
			else exact.set(key, [{ id, currency }]);
		}
	const rest = asked.filter((text) => !exact.has(text.toLowerCase()));
	const byNumber = await ownersOfNumbers(db, rest);
	const names = linesOf(all.map(({ name }) => name.toLowerCase()));
	for (const text of asked) {
		const needle = text.toLowerCase();
		const fits = exact.get(needle) ?? byNumber.get(text) ?? linesWith(names, needle).map((i) => all[i]!);
		const byId = new Map(fits.map(now).map((one) => [one.id, one]));
		found.set(text, [...byId.values()].slice(0, 2));
	}
	return found;
}

/** By the text that was asked for. */
async function ownersOfNumbers(db: Reader, texts: readonly string[]): Promise<Map<string, NamedCustomer[]>> {
	const asked = texts.map((text) => ({ text, key: referenceKey(text) })).filter(({ key }) => key !== '');
	const rows = await db.all<NamedCustomer & { readonly text: string }>(sql`
		select distinct asked.value ->> 'text' as text, c.id, c.currency
		from json_each(${JSON.stringify(asked)}) asked
		join document d on d.number_key = asked.value ->> 'key' join customer c on c.id = d.customer_id`);
	const owners = new Map<string, NamedCustomer[]>();
	for (const { text, ...one } of rows) owners.set(text, [...(owners.get(text) ?? []), one]);
	return owners;
}

interface Lines {
	readonly text: string;
	/** Where each line begins. */
	readonly starts: readonly number[];
}

/** Many texts as one: so a part of any is found by one search, which is quick for thousands of both. */
function linesOf(texts: readonly string[]): Lines {
	const starts: number[] = [];
	let at = 0;
	for (const text of texts) {
		starts.push(at);
		at += text.length + 1;
	}
	return { text: texts.join('\n'), starts };
}

/** The first two lines that hold a text. */
function linesWith({ text, starts }: Lines, needle: string): number[] {
	const lines: number[] = [];
	if (needle.includes('\n')) return lines;
	for (let from = 0; lines.length < 2;) {
		const at = text.indexOf(needle, from);
		if (at < 0) break;
		let [low, high] = [0, starts.length - 1];
		while (low < high) {
			const middle = (low + high + 1) >> 1;
			if (starts[middle]! <= at) low = middle;
			else high = middle - 1;
		}
		lines.push(low);
		from = starts[low + 1] ?? text.length;
	}
	return lines;
}
