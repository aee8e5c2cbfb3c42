import { readdirSync, readFileSync } from 'node:fs';
import { join, sep } from 'node:path';

/** A form of a page, as its code declares it. */
export interface ListedAction {
	/** Where it is sent: `/money-in?/post`, or the page's own address; parameters as `[name]`. */
	readonly path: string;
	/** The name of the act in code, or its kind where it runs in a thread; null where the page does something of its own. */
	readonly act: string | null;
}

/** Every form of every page, read from the code, so that a new one cannot be forgotten. */
export function listActions(root: string): ListedAction[] {
	const routes = join(root, 'src/routes');
	const files = (readdirSync(routes, { recursive: true }) as string[]).filter((file) =>
		file.endsWith('+page.server.ts')
	);
	return files
		.flatMap((file) => {
			const page = `/${file.split(sep).slice(0, -1).join('/')}`.replace(/\/\([^)]*\)/g, '') || '/';
			return declaredIn(readFileSync(join(routes, file), 'utf8')).map(({ name, value }) => ({
				path: name === 'default' ? page : `${page}?/${name}`,
				act: /^action\w*\(\s*'?([\w-]+)/.exec(value)?.[1] ?? null
			}));
		})
		.sort((a, b) => (a.path < b.path ? -1 : 1));
}

/** The entries of `export const actions = { … }`, each with the text that begins its value. */
function declaredIn(source: string): { readonly name: string; readonly value: string }[] {
	const start = /export const actions\b[^=]*= /.exec(source);
	if (!start) return [];
	const text = source.slice(start.index + start[0].length).replace(/\/\*.*?\*\//gs, '');
	const found: { name: string; value: string }[] = [];
	let depth = 0;
	for (let at = 0; at < text.length; at++) {
		if ('{(['.includes(text[at]!)) depth++;
		if ('})]'.includes(text[at]!) && --depth === 0) break;
		if (depth !== 1 || !'{,'.includes(text[at]!)) continue;
		const entry = /^[{,]\s*'?([\w-]+)'?: /.exec(text.slice(at));
		if (entry) found.push({ name: entry[1]!, value: text.slice(at + entry[0].length) });
	}
	return found;
}
