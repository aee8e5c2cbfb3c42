import type { ActFacts, ActKind, Said } from '../../core/model/act-facts';
import { kindOf } from './kinds';

/** What a record says of itself, as code and facts; the sentence as it was written where it is of an earlier version. */
export function saidOf(row: {
	readonly kind: string;
	readonly summary: string;
	readonly format: number;
}): Said {
	if (row.format < 2) return { text: row.summary };
	return { kind: kindOf(row), facts: JSON.parse(row.summary) as ActFacts[ActKind] } as Said;
}
