import { startAuthentication, startRegistration } from '@simplewebauthn/browser';

/**
 * Has the browser make a passkey, or show one, as the server asks.
 * @returns what the browser answers, as JSON for a form
 * @throws Error with a sentence where it cannot, or the person does not want to
 */
export async function usePasskey(what: 'make' | 'show'): Promise<string> {
	const asked = await fetch('/api/passkey', { method: 'POST' });
	if (!asked.ok) throw new Error('The server did not answer. Load the page again.');
	const optionsJSON = (await asked.json()) as never;
	try {
		return JSON.stringify(
			what === 'make' ? await startRegistration({ optionsJSON }) : await startAuthentication({ optionsJSON })
		);
	} catch (cause) {
		throw new Error('The browser showed no passkey. Try again, or take a code from an app.', { cause });
	}
}
