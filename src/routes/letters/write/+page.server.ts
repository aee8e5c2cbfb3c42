import { error, redirect } from '@sveltejs/kit';
import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { HELD_REASONS } from '$lib/core/7-letters/why-held';
import { ok } from '$lib/core/result';
import { startRun } from '$lib/server/letters/commands/start-run';
import { KINDS_BY_HAND } from '$lib/server/letters/queries/by-hand';
import { lookAtNewest } from '$lib/server/letters/queries/letters';
import { WORDING } from '$lib/server/letters/store/wording-shape';
import { action, shaped } from '$lib/server/platform/http/action';
import { rowNumber } from '$lib/server/platform/http/row-number';
import { mayAct, view } from '$lib/server/platform/http/view';
import { user } from '$lib/server/platform/db/schema';
import { whoseMoneyWaits } from '$lib/server/services/answers/whose-money-waits';
import { warmUp } from '$lib/server/services/render-pdf';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import type { PageServerLoad } from './$types';

const MOST_ITEMS = 500;

export const load: PageServerLoad = async ({ locals, url }) => {
	warmUp();
	const asked = (name: string) => url.searchParams.get(name) ?? '';
	const kind = KINDS_BY_HAND.find((one) => one === asked('kind')) ?? 'reminder';
	const found = await viewInThread(locals, 'letters-by-hand', {
		...{ kind, customerId: rowNumber(asked('customer')) ?? 0, currency: asked('currency').slice(0, 3) },
		items: asked('items')
			.split(',')
			.flatMap((one) => rowNumber(one) ?? [])
			.slice(0, MOST_ITEMS),
		numbers: asked('numbers')
			.split(/[\s,;]+/)
			.filter(Boolean)
			.slice(0, 100),
		wording: /^[a-z0-9-]{1,60}$/.exec(asked('wording'))?.[0] ?? null,
		waiting: await whoseMoneyWaits(locals.app.books.db)
	});
	if (!found) error(404, 'There is no such customer.');
	const seen = await view(locals, lookAtNewest, null);
	return { kind, letter: found, seen, mayAct: mayAct(locals) };
};

const input = z.object({
	kind: z.enum(KINDS_BY_HAND),
	customerId: z.number().int().positive(),
	currency: z.string().length(3),
	amount: z.number().int(),
	overruled: z.enum(HELD_REASONS).optional(),
	words: WORDING,
	wording: z.string().regex(/^[a-z0-9-]{1,60}$/),
	isChanged: z.boolean(),
	about: z.array(z.number().int().positive()).max(MOST_ITEMS),
	attach: z.boolean(),
	copyToMe: z.boolean(),
	seen: z.object({ letter: z.number().int().min(0), run: z.number().int().min(0) })
});

export const actions = {
	send: action(startRun, {
		prepare: async (fields, _, { locals }) => {
			const read = shaped(input, fields);
			if (!read.ok) return read;
			const {
				kind,
				customerId,
				currency,
				amount,
				overruled,
				words,
				wording,
				isChanged,
				about,
				attach,
				seen
			} = read.value;
			const { db } = locals.app.books;
			const waiting = await whoseMoneyWaits(db);
			const found = await viewInThread(locals, 'letters-by-hand', {
				...{ kind, customerId, currency, items: about, numbers: [], wording, waiting }
			});
			const me = read.value.copyToMe
				? await db.select({ email: user.email }).from(user).where(eq(user.id, locals.who!.id)).all()
				: [];
			const details = {
				wording,
				...(isChanged ? { words } : {}),
				...(kind === 'statement' ? {} : { about }),
				...(attach ? { attach } : {})
			};
			return ok({
				...{ kind, statement: null, note: '', copyTo: me[0]?.email ?? null, seen },
				chosen: [{ customerId, currency, amount, overruled, details }],
				rows: found ? [found.row] : []
			});
		},
		then: ({ runId }, { locals }) => {
			locals.app.letterWriter.wake();
			redirect(303, `/letters/runs/${runId}`);
		}
	})
};
