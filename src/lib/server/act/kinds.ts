import type { ActKind } from '../../core/model/act-facts';

/** What kinds were called in records of earlier versions: they are hashed, so they stay as they are. */
const EARLIER: Readonly<Record<string, ActKind>> = {
	'place-receipt': 'allocate-receipt',
	'place-credits': 'allocate-credits',
	'undo-placing': 'undo-posting',
	'tie-entry': 'match-bank-entry',
	'tie-return': 'match-bank-return',
	'make-slip': 'make-paying-in-slip',
	'forget-lesson': 'forget-habit',
	'ask-supervisor': 'ask-approval'
};

/** The kind of a record by its name of today. */
export function kindOf(row: { readonly kind: string }): ActKind {
	return EARLIER[row.kind] ?? (row.kind as ActKind);
}

/** Every name under which kinds stand in records, for a query. */
export function namesOf(...kinds: readonly ActKind[]): string[] {
	return kinds.flatMap((kind) => [
		kind,
		...Object.keys(EARLIER).filter((earlier) => EARLIER[earlier] === kind)
	]);
}
