import { json } from '@sveltejs/kit';
import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { cleanText } from '$lib/core/text/clean-text';
import { passwordFits } from '$lib/server/people/password-fits';
import { user } from '$lib/server/platform/db/schema';
import { noteEvent } from '$lib/server/people/note-event';
import type { RequestHandler } from './$types';

const input = z.object({ password: z.string().max(200).transform(cleanText) });

/** Whoever is signed in shows that it is still them, by their password: for a while what matters is done without asking again. */
export const POST: RequestHandler = async ({ request, locals, getClientAddress }) => {
	const { app } = locals;
	const [who, sessionId] = [locals.who!, locals.sessionId!];
	const read = input.safeParse(await request.json().catch(() => null));
	if (!read.success) return json({ message: 'Type your password.' }, { status: 400 });
	const now = Date.now();
	const origin = getClientAddress();
	if (!app.attempts.mayTry(who.id, origin, now))
		return json({ message: 'Too many attempts. Wait a quarter of an hour.' }, { status: 429 });
	const own = await app.books.db.select({ email: user.email }).from(user).where(eq(user.id, who.id)).get();
	if (!own || !(await passwordFits(app.books.db, own.email, read.data.password))) {
		app.attempts.failed(who.id, origin, now);
		noteEvent(app.books, { kind: 'confirm-refused', personId: who.id, origin });
		return json({ message: 'That is not your password.' }, { status: 403 });
	}
	app.attempts.succeeded(who.id, origin);
	app.confirmations.keep(sessionId, now);
	noteEvent(app.books, { kind: 'confirmed', personId: who.id, origin });
	return json({});
};
