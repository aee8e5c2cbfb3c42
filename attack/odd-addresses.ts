import { readdirSync, readFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';

/** What somebody may type into an address in place of a number, a code or a word. */
const ODD = [
	...['abc', '0', '-1', '1.5', '1e400', '-1e400', 'NaN', 'Infinity', 'null', 'true', '[]', '{}'],
	...['99999999999999999999', '9007199254740993', '0x10', ' 1', '1 or 1=1', "'", '"', '`', ';--', '<b>'],
	...['%00', '%0a', '%ff', '%', '%E2%82', '%F0%9F%92%A5', '..%2F..', '%5C', '2026-02-30', '9999-99-99'],
	'a'.repeat(5_000)
];

export interface OddAnswers {
	readonly asked: number;
	/** Addresses that were answered as if the application had failed, with what it said. */
	readonly failed: readonly string[];
}

/** Every address of the application, with its parameters as `[name]`, and the words that its pages read from an address. */
export function addresses(root: string): {
	readonly paths: readonly string[];
	readonly words: readonly string[];
} {
	const routes = join(root, 'src/routes');
	const files = (readdirSync(routes, { recursive: true }) as string[]).map((file) =>
		file.split(sep).join('/')
	);
	const paths = new Set(
		files
			.filter((file) => /\+(page\.svelte|server\.ts)$/.test(file))
			.map((file) => `/${relative('.', file.replace(/\/?\+[^/]*$/, ''))}`)
			.map((path) => path.replace(/\/\([^)]*\)/g, '') || '/')
			.filter((path) => path !== '/sign-out')
	);
	const words = new Set(
		files
			.filter((file) => file.endsWith('.ts'))
			.flatMap((file) => [
				...readFileSync(join(routes, file), 'utf8').matchAll(
					/searchParams\.get\('(\w+)'\)|params\.get\('(\w+)'\)/g
				)
			])
			.map((found) => found[1] ?? found[2]!)
	);
	for (const word of [
		'page',
		'sort',
		'customer',
		'receipt',
		'kind',
		'from',
		'to',
		'q',
		'account',
		'amount',
		'currency',
		'act',
		'state'
	])
		words.add(word);
	return { paths: [...paths].sort(), words: [...words].sort() };
}

/**
 * Asks for every address with every odd value in place of each of its parameters, and of the words that may stand behind it.
 * @param every only each so-manieth odd value is tried, each address beginning at another one
 * @param get answers with a status, and the text where it failed
 */
export async function walkOddAddresses(
	root: string,
	get: (path: string) => Promise<{ readonly status: number; readonly text: string }>,
	every = 1
): Promise<OddAnswers> {
	const { paths, words } = addresses(root);
	const failed: string[] = [];
	let asked = 0;
	const ask = async (path: string) => {
		asked++;
		const { status, text } = await get(path);
		if (status >= 500) failed.push(`${status} ${path.slice(0, 120)}: ${text.slice(0, 120)}`);
	};
	for (const [n, path] of paths.entries()) {
		const known = path.replace(/\[\w+\]/g, '1');
		for (const odd of ODD.filter((_, i) => (i + n) % every === 0)) {
			if (path.includes('[')) await ask(path.replace(/\[\w+\]/g, odd));
			// All words at once: a page reads those that it knows.
			await ask(`${known}?${words.map((word) => `${word}=${odd.length > 100 ? 'x' : odd}`).join('&')}`);
		}
	}
	return { asked, failed };
}
