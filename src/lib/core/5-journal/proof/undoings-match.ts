import type { Breach, ProofFacts } from './facts';

/** Rule 5: each undone allocation or difference and its undoing come to nothing, in base currency too. */
export function undoingsMatch(facts: ProofFacts): Breach[] {
	const breaches: Breach[] = [];
	const check = (
		what: string,
		rows: readonly { id: number; undoesId: number | null; itemId: number; sums: readonly number[] }[]
	) => {
		const byId = new Map(rows.map((row) => [row.id, row]));
		for (const row of rows) {
			if (row.undoesId === null) continue;
			const first = byId.get(row.undoesId);
			const gap = first ? row.sums.findIndex((sum, i) => sum + first.sums[i]! !== 0) : 0;
			if (!first || first.undoesId !== null || first.itemId !== row.itemId || gap >= 0)
				breaches.push({
					rule: 5,
					about: `${what} ${row.id} undoing ${row.undoesId}`,
					want: -(first?.sums[Math.max(gap, 0)] ?? 0),
					found: row.sums[Math.max(gap, 0)]!,
					currency: ''
				});
		}
	};
	check(
		'allocation',
		facts.allocations.map((row) => ({ ...row, sums: [row.amount, row.itemBase, row.creditBase] }))
	);
	check(
		'credit change',
		facts.receiptAdjustments.map((row) => ({ ...row, itemId: row.receiptId, sums: [row.amount, row.base] }))
	);
	check(
		'difference',
		facts.differences.map((row) => ({ ...row, sums: [row.amount, row.base] }))
	);
	return breaches;
}
