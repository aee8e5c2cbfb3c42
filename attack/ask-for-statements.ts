import { HELD_REASONS } from '../src/lib/core/7-letters/why-held';
import type { Client, Told } from './client';

/** What a form that asks for statements says. @param overruled the reason against it that the person was told */
export function statementForm(
	account: { readonly customerId: unknown; readonly currency: unknown },
	seen: { readonly letter: number; readonly run: number },
	overruled?: string
): string {
	return JSON.stringify({
		...{ kind: 'statement', statement: null, note: '', copyToMe: false, seen },
		chosen: [{ ...account, amount: 1, ...(overruled ? { overruled } : {}) }]
	});
}

/** Asks for the statement of an account as somebody would who overrules whatever stands against it. */
export async function askForStatement(
	client: Client,
	account: { readonly customerId: unknown; readonly currency: unknown },
	seen: { readonly letter: number; readonly run: number },
	key: string
): Promise<Told> {
	let told = await client.act('/letters?/send', statementForm(account, seen), key);
	for (const reason of HELD_REASONS) {
		if (!told.text.includes('letter-held')) break;
		told = await client.act('/letters?/send', statementForm(account, seen, reason), `${key} ${reason}`);
	}
	return told;
}
