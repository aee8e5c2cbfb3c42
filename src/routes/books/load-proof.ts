import { browser } from '$app/environment';
import type { Proof } from '$lib/server/ledger/queries/proof';

/** Asks the server to prove the books, from the browser only; takes seconds with many records. */
export async function loadProof(): Promise<Proof> {
	if (!browser) return new Promise(() => undefined);
	const answer = await fetch('/books/proof');
	if (!answer.ok) throw new Error(`the proof was answered with ${answer.status}`);
	return (await answer.json()) as Proof;
}
