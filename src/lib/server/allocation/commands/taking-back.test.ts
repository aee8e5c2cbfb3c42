import { and, asc, desc, eq, gt, isNull } from 'drizzle-orm';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { perform } from '../../act/perform';
import type { AnyAct } from '../../act/define-act';
import { act, difference } from '../../platform/db/schema';
import { as, done, proves, SUPERVISOR } from '../../testing';
import {
	attempt,
	posting,
	reductionsAgree,
	repeat,
	someBooks,
	standing,
	step,
	type Step
} from '../testing-steps';
import { undoActs } from './undo-acts';

describe('what is taken back', () => {
	// What is left of a payment of which a part came back is allocated, and that is taken back.
	const some = { customer: 2 as const, name: null, fee: 0 as const };
	const partCameBack: [Step[], Step] = [
		[
			{ ...some, what: 'place', pick: 5, takes: [0] },
			{ ...some, what: 'return', pick: 0, takes: [1] }
		],
		{ ...some, what: 'credits', pick: 0, takes: [14] }
	];
	it('posting and then taking back gives the account back as it was', async () => {
		let ran = 0;
		await fc.assert(
			fc.asyncProperty(fc.array(step, { maxLength: 5 }), posting, async (before, last) => {
				const books = await someBooks();
				for (const one of before) await attempt(books, one);
				const was = await standing(books);
				const whole = and(isNull(act.undoesId), isNull(act.parentId));
				const newest = async () =>
					(await books.db.select().from(act).where(whole).orderBy(asc(act.id))).at(-1)!;
				const from = await newest();
				if (await attempt(books, last, false)) {
					const { id, kind } = await newest();
					expect(id).toBeGreaterThan(from.id);
					await done(books, undoActs, { actIds: [id] }, SUPERVISOR);
					expect([kind, await standing(books)]).toEqual([kind, was]);
					const rows = await books.db.select().from(difference).where(eq(difference.actId, id));
					// The rows of a return are undoings themselves; those of any other act are first records.
					for (const row of rows) expect(row.undoesId !== null).toBe(kind === 'return-payment');
					await proves(books);
					await reductionsAgree(books);
					ran++;
				}
				await books.close();
			}),
			{ numRuns: 40, examples: [partCameBack] }
		);
		expect(ran).toBeGreaterThan(2);
	}, 120_000);

	it('taking back with others done between gives the same balances as never having done it', async () => {
		let ran = 0;
		const between = fc
			.tuple(step, fc.constantFrom('place', 'place', 'credits', 'aside', 'unidentified', 'split', 'return'))
			.map(([one, what]): Step => ({ ...one, what, ...(what === 'return' ? { name: null } : {}) }));
		// A return opens items that others then settle: those would not be there without it.
		const regretted = posting
			.filter((one) => one.what !== 'return')
			.map((one): Step => (one.name === 'claim' ? { ...one, name: null } : one));
		await fc.assert(
			fc.asyncProperty(
				fc.array(step, { maxLength: 3 }),
				regretted,
				fc.array(between, { minLength: 1, maxLength: 4 }),
				async (before, regret, others) => {
					const [books, never] = [await someBooks(), await someBooks()];
					for (const one of before) {
						await attempt(books, one);
						await attempt(never, one);
					}
					expect(await standing(books)).toEqual(await standing(never));
					const from = (await books.db.select().from(act).orderBy(desc(act.id)).limit(1).get())!.id;
					if (await attempt(books, regret, false)) {
						const [{ id }] = (await books.db
							.select()
							.from(act)
							.where(and(isNull(act.undoesId), isNull(act.parentId), gt(act.id, from)))
							.orderBy(desc(act.id))) as [typeof act.$inferSelect];
						const done: [AnyAct, object][] = [];
						for (const one of others)
							await attempt(books, one, false, (kind, input) => done.push([kind, input]));
						// What uses what was brought is refused, and stays: then there is nothing to compare.
						if ((await perform(books, undoActs, { actIds: [id] }, as(SUPERVISOR))).ok) {
							for (const [kind, input] of done) expect(await repeat(never, kind, input)).toBe(true);
							const but = (all: Awaited<ReturnType<typeof standing>>) => ({
								...all,
								receipts: all.receipts.map((row) => row.slice(0, -1))
							});
							expect(but(await standing(books))).toEqual(but(await standing(never)));
							await proves(books);
							await reductionsAgree(books);
							await proves(never);
							if (done.length) ran++;
						}
					}
					await books.close();
					await never.close();
				}
			),
			{ numRuns: 40 }
		);
		expect(ran).toBeGreaterThan(2);
	}, 120_000);
});
