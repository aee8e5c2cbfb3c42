import type { Person } from '$lib/server/act/person';
import type { App as Application } from '$lib/server/app';

declare global {
	namespace App {
		interface Locals {
			app: Application;
			/** Who is signed in, or null. */
			who: Person | null;
			/** That what was asked for is more than their role may do. */
			refused?: boolean;
			/** Who typed their password and has not shown their second factor yet; they are not signed in. */
			halfway: Person | null;
			/** That the firm demands a second factor of them, and they have none: they set one up before anything else. */
			mustSetUp: boolean;
			/** The form that was sent, where its files lie on disk until the request is answered. */
			form?: FormData;
			/** The session in which they ask. */
			sessionId: string | null;
		}
		interface Error {
			message: string;
			/** The number under which a failure stands in the log. */
			failure?: string;
		}
	}
}

export {};
