import type { DayRate } from '../../../core/1-rates/quote';
import { chunks } from '../../platform/db/chunks';
import type { Reader } from '../../platform/db/open';
import { rate } from '../../platform/db/schema';
import { rateBefore, ratesOn } from '../store/rates';
import { defineAct, madeHere } from '../../act/define-act';

export type RateFate = 'new' | 'same' | 'differs';

export interface RatePreview {
	readonly line: number;
	readonly currency: string;
	readonly day: string;
	readonly millionths: number;
	readonly fate: RateFate;
	/** What the books have for the day, where that differs. */
	readonly kept: number | null;
	/** True where it is far from the rate before, as a slip of the finger is. */
	readonly far: boolean;
}

/** A rate further from the one before than a fifth is pointed out. */
const FAR = 0.2;

/** What would become of each rate: added, there already, or left as the books have it. */
export async function previewRates(db: Reader, rows: readonly DayRate[]): Promise<RatePreview[]> {
	const known = await ratesOn(
		db,
		rows.map((row) => row.day)
	);
	const last = new Map<string, number>();
	const out: RatePreview[] = [];
	for (const row of [...rows].sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : a.line - b.line))) {
		const before = last.get(row.currency) ?? (await rateBefore(db, row.currency, row.day));
		const kept = known.get(`${row.currency} ${row.day}`) ?? null;
		last.set(row.currency, kept ?? row.millionths);
		out.push({
			...row,
			fate: kept === null ? 'new' : kept === row.millionths ? 'same' : 'differs',
			kept: kept === row.millionths ? null : kept,
			far: before !== null && Math.abs(row.millionths - before) > before * FAR
		});
	}
	return out;
}

/**
 * Adds day rates: units of base currency for one unit of a currency, × 1,000,000. A day that has one keeps it, since amounts
 * were turned by it; the first of two for one day counts.
 */
export const addRates = defineAct({
	kind: 'add-rates',
	role: 'clerk',
	input: madeHere<readonly (Omit<DayRate, 'line'> & { readonly source?: string })[]>(),
	run: async (ctx, rows): Promise<{ added: number }> => {
		const { tx } = ctx;
		const seen = new Set(
			(
				await ratesOn(
					tx,
					rows.map((row) => row.day)
				)
			).keys()
		);
		const fresh = rows.filter(({ currency, day }) => {
			const key = `${currency} ${day}`;
			return !seen.has(key) && seen.add(key);
		});
		for (const part of chunks(fresh))
			await tx
				.insert(rate)
				.values(
					part.map(({ currency, day, millionths, source }) => ({
						...{ currency, day, millionths },
						source: source || `typed by ${ctx.who.name}`
					}))
				)
				.onConflictDoNothing();
		await ctx.record({
			summary: { count: fresh.length },
			facts: { rates: fresh.slice(0, 200), count: fresh.length }
		});
		return { added: fresh.length };
	}
});
