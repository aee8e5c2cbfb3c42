import { and, eq, inArray } from 'drizzle-orm';
import type { Reduction } from '../../../core/4-allocation/over-limits';
import { groupBy } from '../../../core/group-by';
import { minor } from '../../../core/money/minor';
import type { ActContext } from '../../act/define-act';
import { insertRows } from '../../platform/db/insert-rows';
import type { Tx } from '../../platform/db/open';
import { reduction } from '../../platform/db/schema';

/** Counts what an act took off accounts, one row for each kind and account. */
export async function writeReductions(
	ctx: ActContext,
	actId: number,
	booked: readonly Reduction[]
): Promise<void> {
	const rows = [...groupBy(booked, keyOf).values()].map((ones) => ({
		...{ actId, kind: ones[0]!.kind, customerId: ones[0]!.customerId, base: sumOf(ones) },
		...{ personId: ctx.who.id, role: ctx.who.role, askedById: ctx.agreedFor?.id ?? null, day: ctx.today }
	}));
	const some = rows.filter(({ base }) => base !== 0);
	if (some.length) await insertRows(ctx.tx, reduction, some);
}

/** All that an act took off is taken back by another: it counts no more, for whom and when it counted. */
export async function undoReductions(tx: Tx, actId: number, undone: number): Promise<void> {
	const rows = await tx.select().from(reduction).where(eq(reduction.actId, undone));
	if (rows.length) await insertRows(tx, reduction, rows.map(turnedBy(actId)));
}

/** Some of what acts took off is taken back: as much as comes back of each kind and account. */
export async function undoSomeReductions(
	tx: Tx,
	actId: number,
	back: readonly (Reduction & { readonly actId: number })[]
): Promise<void> {
	if (back.length === 0) return;
	const byAct = groupBy(back, (one) => one.actId);
	const rows = await tx
		.select()
		.from(reduction)
		.where(
			and(
				inArray(reduction.actId, [...byAct.keys()]),
				inArray(reduction.kind, [...new Set(back.map(({ kind }) => kind))])
			)
		);
	const turned = rows.flatMap((row) => {
		const own = byAct.get(row.actId)!.filter((one) => keyOf(one) === keyOf(row));
		const base = Math.min(sumOf(own), row.base);
		return base > 0 ? [turnedBy(actId)({ ...row, base: minor(base) })] : [];
	});
	if (turned.length) await insertRows(tx, reduction, turned);
}

function turnedBy(actId: number) {
	return ({ id: _id, ...row }: typeof reduction.$inferSelect) => ({ ...row, actId, base: minor(-row.base) });
}

function keyOf({ kind, customerId }: Pick<Reduction, 'kind' | 'customerId'>): string {
	return `${kind} ${customerId ?? ''}`;
}

function sumOf(booked: readonly Pick<Reduction, 'base'>[]) {
	return minor(booked.reduce((sum, one) => sum + Math.abs(one.base), 0));
}
