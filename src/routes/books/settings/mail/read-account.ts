import { z } from 'zod';
import { cleanText } from '$lib/core/text/clean-text';
import { ok, type Result } from '$lib/core/result';
import { accountFields, keepsSecret, NEEDS_TLS } from '$lib/server/firm/commands/mail-fields';
import { NO_MAIL, type MailSetting } from '$lib/server/firm/store/mail-shape';
import { readSetting } from '$lib/server/firm/store/settings';
import { sessionSecret } from '$lib/server/app';
import type { Reader } from '$lib/server/platform/db/open';
import { shaped } from '$lib/server/platform/http/action';
import type { MailAccount } from '$lib/server/platform/mail/mail-server';
import { openSecret, sealSecret } from '$lib/server/platform/sealed-secret';

/** An account as its form gives it: the password as it was typed, empty for the one that is kept. */
export const typedServer = accountFields
	.omit({ sealed: true })
	.extend({ password: z.string().max(1_000, 'That is longer than a password may be.').transform(cleanText) });
export const typedMailbox = typedServer.extend({
	folder: z.string().max(300),
	address: z.string().max(300)
});

type Which = 'server' | 'mailbox';

/** What is kept of an account; only for the same host and user is its password known without being typed. */
async function keptFor(
	db: Reader,
	which: Which,
	typed: { readonly host: string; readonly user: string }
): Promise<NonNullable<MailSetting['server']> | null> {
	const kept = ((await readSetting(db, 'mail')) ?? NO_MAIL)[which];
	return kept && kept.host === typed.host && kept.user === typed.user ? kept : null;
}

/** Fields of an account with the password sealed: a new one, or that which is kept for the same host and user. */
export async function sealAccount<T extends z.infer<typeof typedServer>>(
	db: Reader,
	which: Which,
	fields: unknown,
	shape: z.ZodType<T>
): Promise<Result<Omit<T, 'password'> & { readonly sealed: string }>> {
	const read = shaped(shape, fields);
	if (!read.ok) return read;
	const { password, ...rest } = read.value;
	const sealed = password
		? sealSecret(sessionSecret(), password)
		: ((await keptFor(db, which, rest))?.sealed ?? '');
	return ok({ ...rest, sealed });
}

/** An account to try out: as typed, with the password that is kept for the same host and user where none is typed. */
export async function accountToTry(db: Reader, which: Which, fields: unknown): Promise<Result<MailAccount>> {
	const read = shaped(typedServer.refine(keepsSecret, NEEDS_TLS), fields);
	if (!read.ok) return read;
	const kept = read.value.password ? null : await keptFor(db, which, read.value);
	const password = kept ? (openSecret(sessionSecret(), kept.sealed) ?? '') : read.value.password;
	return ok({ ...read.value, password });
}
