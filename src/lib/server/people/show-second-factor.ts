import type { RequestEvent } from '@sveltejs/kit';
import { perform } from '../act/perform';
import type { Person } from '../act/person';
import { useRecoveryCode } from './commands/use-recovery-code';
import { stepOfCode } from './app-codes';
import { isCode } from './code-text';
import { noteEvent } from './note-event';
import { shownPasskey } from './passkeys';
import { goodRecoveryCodes } from './store/recovery-codes';
import { keepShown, secondFactorsOf } from './store/second-factors';

/** What somebody shows beside their password. */
export type Shown = { readonly code: string } | { readonly passkey: string };

/**
 * Lets somebody in who typed their password and shows their second factor: the code of an app, a recovery code, or a passkey.
 * @returns why not; null where they are in
 */
export async function showSecondFactor(
	event: RequestEvent,
	who: Person,
	shown: Shown
): Promise<string | null> {
	const { app } = event.locals;
	const account = `second step ${who.id}`;
	const [origin, now] = [event.getClientAddress(), Date.now()];
	const note = (kind: 'second-factor-shown' | 'second-factor-refused') =>
		noteEvent(app.books, { kind, personId: who.id, origin });
	if (!app.attempts.mayTry(account, origin, now)) return 'Too many attempts. Wait a quarter of an hour.';
	const isIn =
		'code' in shown ? await byCode(event, who, shown.code) : await byPasskey(event, who, shown.passkey);
	if (!isIn) {
		app.attempts.failed(account, origin, now);
		note('second-factor-refused');
		return 'code' in shown
			? 'That is no code of now, or it was used already. Wait for the next one.'
			: 'That passkey does not fit. Try again, or type a code.';
	}
	app.attempts.succeeded(account, origin);
	note('second-factor-shown');
	return null;
}

async function byCode(
	{ locals: { app, sessionId } }: RequestEvent,
	who: Person,
	typed: string
): Promise<boolean> {
	const at = new Date();
	for (const factor of await secondFactorsOf(app.books.db, who.id)) {
		if (factor.kind !== 'app') continue;
		const key = app.appKey(who.id, factor.mark);
		const step = await stepOfCode(key, typed, { after: factor.counter, now: at.getTime() });
		if (step !== null)
			return app.books.write((tx) => keepShown(tx, { factor, counter: step, sessionId: sessionId!, at }));
	}
	const codes = await goodRecoveryCodes(app.books.db, who.id);
	const code = codes.find((one) => isCode(typed, app.codeText('recovery code', one)));
	if (!code) return false;
	const given = { codeId: code.id, sessionId: sessionId! };
	return (await perform(app.books, useRecoveryCode, given, await app.context(who))).ok;
}

async function byPasskey({ locals: { app, sessionId }, url }: RequestEvent, who: Person, answer: string) {
	const at = new Date();
	const challenge = app.challenges.take(sessionId!, at.getTime());
	if (challenge === null) return false;
	const found = await shownPasskey(url, challenge, answer, await secondFactorsOf(app.books.db, who.id));
	return found !== null && app.books.write((tx) => keepShown(tx, { ...found, sessionId: sessionId!, at }));
}
