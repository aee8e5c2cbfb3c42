import { eq } from 'drizzle-orm';
import { redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { HELD_REASONS } from '$lib/core/7-letters/why-held';
import { STATEMENT_KINDS } from '$lib/core/7-letters/letter';
import { firstOfMonth } from '$lib/core/day/arithmetic';
import { startRun } from '$lib/server/letters/commands/start-run';
import { dayField } from '$lib/server/act/fields';
import { baseCurrencyOr } from '$lib/server/firm/store/settings';
import { readPage } from '$lib/server/platform/http/read-page';
import { user } from '$lib/server/platform/db/schema';
import { whoseMoneyWaits } from '$lib/server/services/answers/whose-money-waits';
import { warmUp } from '$lib/server/services/render-pdf';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import { lookAtOwnWordings } from '$lib/server/letters/queries/wordings';
import { mayAct, view } from '$lib/server/platform/http/view';
import { RUN_PAGE } from '$lib/server/letters/queries/letters';
import { action, shaped } from '$lib/server/platform/http/action';
import { setAddress } from '$lib/server/customers/commands/set-address';
import { ok } from '$lib/core/result';
import { readFilter } from './read-run';
import { readStatement } from './read-statement';
import type { PageServerLoad } from './$types';

/** Kinds of letters of which there are runs. */
const KINDS = ['statement', 'reminder', 'thanks'] as const;

export const load: PageServerLoad = async ({ locals, url }) => {
	warmUp();
	const asked = url.searchParams.get('kind');
	const kind = KINDS.find((one) => one === asked) ?? 'statement';
	const corrections = asked === 'correction';
	const page = readPage(url);
	const today = await locals.app.today();
	const filter = readFilter(url, await baseCurrencyOr(locals.app.books.db, 'GBP'));
	const statement = kind === 'statement' && !corrections ? readStatement(url) : null;
	// Which words a reminder has says its step.
	const wordings = kind === 'statement' ? await view(locals, lookAtOwnWordings, kind) : [];
	return {
		wordings,
		wording: wordings.find((one) => one.key === url.searchParams.get('wording'))?.key ?? null,
		kind,
		corrections,
		page,
		filter,
		/** What the form shows, where nothing was chosen yet. */
		asked: statement ?? { kind: 'open' as const, from: null, to: today },
		month: firstOfMonth(today),
		day: today,
		statement,
		perPage: RUN_PAGE,
		run: await viewInThread(locals, 'letters-run', {
			...{ kind, statement, page, corrections, filter },
			waiting: await whoseMoneyWaits(locals.app.books.db)
		}),
		standIn: await locals.app.postOffice.isStandIn(),
		mayAct: mayAct(locals)
	};
};

const NOTE = z.string().max(2_000, 'A note may be 2,000 letters long.');

const runInput = z.object({
	kind: z.enum(KINDS),
	statement: z
		.object({ kind: z.enum(STATEMENT_KINDS), from: dayField.nullable(), to: dayField })
		.refine(({ kind, from, to }) => (kind === 'open' ? from === null : from !== null && from <= to), {
			message: 'The period ends before it begins.'
		})
		.nullable(),
	wording: z
		.string()
		.regex(/^[a-z0-9-]{1,60}$/)
		.nullable()
		.default(null),
	note: NOTE,
	copyToMe: z.boolean(),
	chosen: z
		.array(
			z.object({
				customerId: z.number().int(),
				currency: z.string().length(3),
				amount: z.number().int(),
				overruled: z.enum(HELD_REASONS).optional(),
				note: NOTE.optional()
			})
		)
		.min(1, 'Choose somebody first.')
		.max(20_000, 'A run may have 20,000 letters.'),
	seen: z.object({ letter: z.number().int().min(0), run: z.number().int().min(0) })
});

/** A run of 20,000 letters, each with a note of a few words. */
const RUN_BYTES = 8_000_000;

export const actions = {
	send: action(startRun, {
		most: RUN_BYTES,
		prepare: async (fields, _, { locals }) => {
			const read = shaped(runInput, fields);
			if (!read.ok) return read;
			const { copyToMe, wording, ...given } = read.value;
			const own = wording === null ? [] : await view(locals, lookAtOwnWordings, given.kind);
			const details = own.some((one) => one.key === wording) ? { wording: wording! } : null;
			const { db } = locals.app.books;
			const rows = await viewInThread(locals, 'letters-chosen', {
				...{ kind: given.kind, statement: given.statement, chosen: given.chosen },
				waiting: await whoseMoneyWaits(db)
			});
			const me = copyToMe
				? await db.select({ email: user.email }).from(user).where(eq(user.id, locals.who!.id)).all()
				: [];
			return ok({
				...given,
				...{ rows, copyTo: me[0]?.email ?? null },
				chosen: details ? given.chosen.map((one) => ({ ...one, details })) : given.chosen
			});
		},
		then: ({ runId }, { locals }) => {
			locals.app.letterWriter.wake();
			redirect(303, `/letters/runs/${runId}`);
		}
	}),
	address: action(setAddress)
};
