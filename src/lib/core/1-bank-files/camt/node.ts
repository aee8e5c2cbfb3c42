/** A small piece of a message kept as a tree while it is read: one entry, one balance, one account. */
export interface Node {
	readonly name: string;
	readonly attributes: Readonly<Record<string, string>>;
	readonly children: Node[];
	text: string;
}

/** First descendant along a path of element names ("Acct/Id/IBAN"). */
export function at(node: Node | undefined, path: string): Node | undefined {
	let here = node;
	for (const name of path.split('/')) {
		here = here?.children.find((child) => child.name === name);
		if (!here) return undefined;
	}
	return here;
}

/** Trimmed text along the first of several paths that has any; null where none has. Paths differ between versions. */
export function textAt(node: Node | undefined, ...paths: string[]): string | null {
	for (const path of paths) {
		const text = at(node, path)?.text.trim();
		if (text) return text;
	}
	return null;
}

/** All children of a name. */
export function all(node: Node | undefined, name: string): Node[] {
	return node ? node.children.filter((child) => child.name === name) : [];
}
