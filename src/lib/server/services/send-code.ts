import { perform } from '../act/perform';
import { APPLICATION } from '../act/person';
import type { App } from '../app';
import { MAILED_MINUTES, sendSignInCode } from '../people/commands/send-sign-in-code';
import { config, type Config } from '../platform/config';
import { mailPerson } from './mail-person';

/**
 * Sends a code by mail to who signs in with an address; to nobody where none does, or it was asked for too often. The link in it leads to the
 * address that the operator set: that of the request is whatever its sender says.
 */
export async function sendCode(
	app: Pick<App, 'books' | 'postOffice' | 'context' | 'codeText'>,
	email: string,
	{ publicUrl }: Pick<Config, 'publicUrl'> = config()
): Promise<void> {
	const made = await perform(app.books, sendSignInCode, { email }, await app.context(APPLICATION));
	if (!made.ok || made.value.code === null) return;
	const code = app.codeText('sign-in code', made.value.code);
	const page = publicUrl && new URL('/set-password', publicUrl);
	if (page) page.searchParams.set('email', email);
	mailPerson(app, made.value.code.userId, {
		...{ about: 'password-code', code, minutes: MAILED_MINUTES },
		link: page && `${page.href}#${code}`
	});
}
