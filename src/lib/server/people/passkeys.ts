import {
	generateAuthenticationOptions,
	generateRegistrationOptions,
	verifyAuthenticationResponse,
	verifyRegistrationResponse,
	type AuthenticationResponseJSON,
	type AuthenticatorTransport,
	type RegistrationResponseJSON
} from '@simplewebauthn/server';
import { isIP } from 'node:net';
import type { ShownFactor } from './commands/second-factors';
import type { secondFactor } from '../platform/db/schema';

type Passkey = typeof secondFactor.$inferSelect;

/** Whether passkeys can be used at an address: they belong to a host by its name (WebAuthn, 4, RP ID). */
export function passkeysWork(url: URL): boolean {
	return (
		!isIP(url.hostname.replace(/^\[|\]$/g, '')) && (url.protocol === 'https:' || url.hostname === 'localhost')
	);
}

/** What a browser is asked in order to make a passkey for a person. */
export function askForNew(
	url: URL,
	person: { readonly id: string; readonly email: string },
	known: readonly Passkey[]
) {
	return generateRegistrationOptions({
		...{ rpName: 'Odd Penny', rpID: url.hostname, userName: person.email, attestationType: 'none' },
		userID: new TextEncoder().encode(person.id),
		excludeCredentials: known.filter(({ kind }) => kind === 'passkey').map(({ mark }) => ({ id: mark })),
		authenticatorSelection: { residentKey: 'discouraged', userVerification: 'preferred' }
	});
}

/** What a browser is asked in order to show one of a person's passkeys. */
export function askForOne(url: URL, known: readonly Passkey[]) {
	return generateAuthenticationOptions({
		...{ rpID: url.hostname, userVerification: 'preferred' },
		allowCredentials: known
			.filter(({ kind }) => kind === 'passkey')
			.map(({ mark, transports }) => ({ id: mark, transports: transportsOf(transports) }))
	});
}

/** A passkey that a browser made; null where what it sent does not hold. @param answer JSON, as the browser gave it */
export async function newPasskey(
	url: URL,
	challenge: string,
	answer: string
): Promise<Omit<ShownFactor, 'name' | 'sessionId'> | null> {
	try {
		const { verified, registrationInfo } = await verifyRegistrationResponse({
			...{ response: JSON.parse(answer) as RegistrationResponseJSON, expectedChallenge: challenge },
			...{ expectedOrigin: url.origin, expectedRPID: url.hostname, requireUserVerification: false }
		});
		if (!verified || !registrationInfo) return null;
		const { id, publicKey, counter, transports } = registrationInfo.credential;
		return {
			...{ kind: 'passkey', mark: id, counter, transports: JSON.stringify(transports ?? []) },
			publicKey: Buffer.from(publicKey).toString('base64url')
		};
	} catch {
		return null;
	}
}

/** Which of a person's passkeys a browser showed, and its count; null where what it sent does not hold. @param answer as above */
export async function shownPasskey(
	url: URL,
	challenge: string,
	answer: string,
	known: readonly Passkey[]
): Promise<{ readonly factor: Passkey; readonly counter: number } | null> {
	try {
		const given = JSON.parse(answer) as AuthenticationResponseJSON | null;
		const factor = known.find(({ kind, mark }) => kind === 'passkey' && mark === given?.id);
		if (!factor?.publicKey) return null;
		const { verified, authenticationInfo } = await verifyAuthenticationResponse({
			...{ response: given!, expectedChallenge: challenge },
			...{ expectedOrigin: url.origin, expectedRPID: url.hostname, requireUserVerification: false },
			credential: {
				id: factor.mark,
				publicKey: new Uint8Array(Buffer.from(factor.publicKey, 'base64url')),
				counter: factor.counter,
				transports: transportsOf(factor.transports)
			}
		});
		return verified ? { factor, counter: authenticationInfo.newCounter } : null;
	} catch {
		return null;
	}
}

function transportsOf(kept: string | null): AuthenticatorTransport[] {
	return kept === null ? [] : (JSON.parse(kept) as AuthenticatorTransport[]);
}
