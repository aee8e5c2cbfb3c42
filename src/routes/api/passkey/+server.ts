import { json } from '@sveltejs/kit';
import { eq } from 'drizzle-orm';
import { askForNew, askForOne, passkeysWork } from '$lib/server/people/passkeys';
import { secondFactorsOf } from '$lib/server/people/store/second-factors';
import { user } from '$lib/server/platform/db/schema';
import type { RequestHandler } from './$types';

/** What the browser asks a passkey for: to be made, for who is signed in; to be shown, for who typed their password. */
export const POST: RequestHandler = async ({ locals, url }) => {
	const { app, sessionId } = locals;
	const who = (locals.who ?? locals.halfway)!;
	if (!passkeysWork(url))
		return json({ message: 'Passkeys need an address with a name, by https.' }, { status: 400 });
	const own = await secondFactorsOf(app.books.db, who.id);
	const person = await app.books.db.select().from(user).where(eq(user.id, who.id)).get();
	const options = locals.halfway ? await askForOne(url, own) : await askForNew(url, person!, own);
	app.challenges.give(sessionId!, options.challenge, Date.now());
	return json(options);
};
