import { and, eq, or } from 'drizzle-orm';
import type { App } from '../app';
import { act, user } from '../platform/db/schema';
import { mailPerson } from './mail-person';

/** Tells by mail whose second factors an act took off, by itself or as what was agreed to; others are told nothing. */
export async function tellTakenOff(app: Pick<App, 'books' | 'postOffice'>, actId: number): Promise<void> {
	const done = await app.books.db
		.select({ facts: act.facts })
		.from(act)
		.where(and(eq(act.kind, 'take-off-second-factors'), or(eq(act.id, actId), eq(act.parentId, actId))));
	for (const { facts } of done) {
		const { email } = JSON.parse(facts) as { readonly email: string };
		const person = await app.books.db.select({ id: user.id }).from(user).where(eq(user.email, email)).get();
		if (person) mailPerson(app, person.id, { about: 'second-step-taken-off' });
	}
}
