import { err, ok, type Result } from '../../core/result';
import type { Person } from '../act/person';
import { sendToPerson, type WhereMailGoes } from './mail-person';

/** Sends a test message to the person's own address, and says what the mail server answered. */
export async function sendTestMail(
	app: WhereMailGoes,
	who: Person
): Promise<Result<{ readonly email: string }>> {
	try {
		const email = await sendToPerson(app, who.id, { about: 'test' });
		return email === null ? err({ code: 'not-found', what: 'person' }) : ok({ email });
	} catch (error) {
		return err({ code: 'mail-refused', why: error instanceof Error ? error.message.slice(0, 300) : '' });
	}
}
