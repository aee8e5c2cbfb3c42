import { and, eq, gt, ne } from 'drizzle-orm';
import type { LetterKind, StatementAsked } from '../../../core/7-letters/letter';
import { checkWording } from '../../../core/7-letters/wording/check-wording';
import type { LetterDetails } from '../../../core/7-letters/letter-details';
import type { Problem } from '../../../core/problems';
import { defineAct, madeHere } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { insertRows } from '../../platform/db/insert-rows';
import type { Tx } from '../../platform/db/open';
import { act, letter, letterRun, runLetter } from '../../platform/db/schema';
import type { ChosenAccount, RunRow } from '../queries/run-rows';
import type { RunSeen } from '../queries/letters';

export interface StartRun {
	readonly kind: LetterKind;
	readonly statement: StatementAsked | null;
	readonly note: string;
	readonly copyTo: string | null;
	readonly chosen: readonly ChosenAccount[];
	/** The accounts as they stand, read just before. */
	readonly rows: readonly RunRow[];
	readonly seen: RunSeen;
}

/**
 * Asks for letters to many accounts: they are written and sent by themselves from here on. A reason against one that the person did not
 * see stops it, and so does a letter that somebody else asked for meanwhile.
 */
export const startRun = defineAct({
	kind: 'start-run',
	role: 'clerk',
	input: madeHere<StartRun>(),
	run: async (ctx, input): Promise<{ actId: number; runId: number; letters: number }> => {
		const { tx, who } = ctx;
		const asked = await askedSince(tx, input);
		if (asked.length > 0) throw new DomainError(...asked);
		const rows = new Map(input.rows.map((row) => [`${row.customerId} ${row.currency}`, row]));
		const problems: Problem[] = [];
		const letters = input.chosen.flatMap((one) => {
			const row = rows.get(`${one.customerId} ${one.currency}`);
			if (!row) return [];
			const { held, name } = row;
			if (held === 'no-address') problems.push({ code: 'address-missing', customer: name });
			else if (held === 'nothing-owed') problems.push({ code: 'nothing-owed', customer: name });
			else if (held !== null && held !== one.overruled)
				problems.push({ code: 'letter-held', customer: name, reason: held });
			return [{ row, one }];
		});
		if (problems.length > 0) throw new DomainError(...problems.slice(0, 20));
		if (letters.length === 0) throw new DomainError({ code: 'run-empty' });
		for (const { row, one } of letters)
			if (one.details?.words && checkWording(one.details.words, input.kind).length > 0)
				throw new DomainError({ code: 'wording-wrong', customer: row.name });
		const overruled = letters.flatMap(({ row }) => (row.held ? [{ code: row.code, reason: row.held }] : []));
		const actId = await ctx.record({
			summary: { letter: input.kind, count: letters.length, overruled: overruled.length },
			facts: {
				...{ kind: input.kind, statement: input.statement, note: input.note, overruled },
				customers: letters.map(({ row }) => row.code)
			},
			customerId: letters.length === 1 ? letters[0]!.row.customerId : null
		});
		const { id: runId } = await tx
			.insert(letterRun)
			.values({
				...{ actId, kind: input.kind, statement: input.statement, note: input.note, at: ctx.now() },
				copyTo: input.copyTo,
				...{ userId: who.id, userName: who.name, userRole: who.role }
			})
			.returning({ id: letterRun.id })
			.get();
		await insertRows(
			tx,
			runLetter,
			letters.map(({ row, one }) => ({
				...{ runId, customerId: row.customerId, currency: row.currency, way: row.way, note: one.note ?? '' },
				details: detailsOf(row, one),
				...{ seenAmount: one.amount as RunRow['amount'], overruled: row.held, state: 'to-write' as const }
			}))
		);
		return { actId, runId, letters: letters.length };
	}
});

/** What the letter's step asks for, and what the person asked of it beside. */
function detailsOf(row: RunRow, { details }: ChosenAccount): LetterDetails | null {
	const about = details?.about && new Set(details.about);
	const { step, ...plain } = row.step?.details ?? {};
	const items = step?.items.filter((item) => !about || about.has(item.id)) ?? [];
	const all: LetterDetails = {
		...{ ...plain, ...details },
		...(step && items.length > 0 ? { step: { ...step, items } } : {})
	};
	return Object.keys(all).length > 0 ? all : null;
}

/** Letters of the kind that somebody asked for, or sent, to the same accounts since the person looked. */
async function askedSince(tx: Tx, { kind, chosen, seen, rows }: StartRun): Promise<Problem[]> {
	const sent = await tx
		.select({ customerId: letter.customerId, currency: letter.currency, who: act.userName, at: act.at })
		.from(letter)
		.innerJoin(act, eq(act.id, letter.actId))
		.where(and(gt(letter.id, seen.letter), eq(letter.kind, kind)))
		.all();
	const asked = await tx
		.select({
			...{ customerId: runLetter.customerId, currency: runLetter.currency },
			...{ who: letterRun.userName, at: letterRun.at }
		})
		.from(runLetter)
		.innerJoin(letterRun, eq(letterRun.id, runLetter.runId))
		.where(and(gt(letterRun.id, seen.run), eq(letterRun.kind, kind), ne(runLetter.state, 'withdrawn')))
		.all();
	const before = new Map([...sent, ...asked].map((row) => [`${row.customerId} ${row.currency}`, row]));
	const names = new Map(rows.map((row) => [row.customerId, row.name]));
	return chosen.flatMap(({ customerId, currency }) => {
		const one = before.get(`${customerId} ${currency}`);
		return one
			? [{ code: 'letter-sent' as const, customer: names.get(customerId) ?? '', who: one.who, at: one.at }]
			: [];
	});
}
