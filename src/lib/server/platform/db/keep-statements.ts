import Database from 'libsql';

/** So many statements a connection keeps, the longest unused going first, and none longer than this. */
const STATEMENTS_KEPT = 200;
const LONGEST_KEPT = 4_000;

type Statement = ReturnType<(typeof Database.prototype)['prepare']>;
const prepare = Database.prototype.prepare as (this: object, text: string) => Statement;
const keptBy = new WeakMap<object, Map<string, Statement>>();

/**
 * Makes connections to files keep the statements that they prepared: preparing one anew takes longer than running it, and the client
 * does so every time. Each runs to its end before the next, so none is in use twice.
 */
export function keepStatements(): void {
	(Database.prototype as { prepare: typeof prepare }).prepare = function (text) {
		if (text.length > LONGEST_KEPT || !/^\s*(?:select|insert|update|delete|with)\b/i.test(text))
			return prepare.call(this, text);
		let kept = keptBy.get(this);
		if (!kept) keptBy.set(this, (kept = new Map()));
		const statement = kept.get(text) ?? prepare.call(this, text);
		kept.delete(text);
		kept.set(text, statement);
		if (kept.size > STATEMENTS_KEPT) kept.delete(kept.keys().next().value!);
		return statement;
	};
}
