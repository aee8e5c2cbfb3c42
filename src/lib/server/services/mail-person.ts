import { eq } from 'drizzle-orm';
import { personMail, type PersonMail } from '../../words';
import type { App } from '../app';
import type { PostOffice } from './post-office/post-office';
import { readSetting } from '../firm/store/settings';
import { logFailure } from '../platform/log';
import { openTransport } from '../platform/mail/open-transport';
import { user } from '../platform/db/schema';

/** The books, and where mail is handed over. */
export type WhereMailGoes = Pick<App, 'books'> & { readonly postOffice: Pick<PostOffice, 'route'> };

/**
 * Tells a person by mail what became of their sign-in. Nobody waits for it, so that how long it takes tells a stranger nothing; that it
 * cannot be sent stops nobody, and stands in the log.
 */
export function mailPerson(
	{ books, postOffice }: Pick<App, 'books' | 'postOffice'>,
	personId: string,
	mail: PersonMail
): void {
	void sendToPerson({ books, postOffice }, personId, mail).catch((error: unknown) =>
		logFailure('telling a person by mail', error)
	);
}

/**
 * Sends a message to a person from the firm's address, and waits for what the mail server says.
 * @returns the address that it took; null where there is no such person, or no firm yet
 * @throws what the mail server answers, where it does not take it
 */
export async function sendToPerson(
	{ books, postOffice }: WhereMailGoes,
	personId: string,
	mail: PersonMail
): Promise<string | null> {
	const firm = await readSetting(books.db, 'firm');
	const person = await books.db.select().from(user).where(eq(user.id, personId)).get();
	if (!firm || !person) return null;
	const transport = openTransport(await postOffice.route());
	try {
		await transport.sendMail({
			from: { name: firm.name, address: firm.email },
			to: { name: person.name, address: person.email },
			...personMail(firm.name, person.name, mail)
		});
		return person.email;
	} finally {
		transport.close();
	}
}
