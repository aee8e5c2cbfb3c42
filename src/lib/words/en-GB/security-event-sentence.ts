import type { securityEvent } from '../../server/platform/db/schema';

const SENTENCES: Readonly<Record<(typeof securityEvent.$inferSelect)['kind'], string>> = {
	'signed-in': 'Signed in',
	'signed-out': 'Signed out',
	'sign-in-refused': 'Was refused: address and password did not go together',
	'too-many-attempts': 'Was refused: too many attempts',
	confirmed: 'Typed the password again',
	'confirm-refused': 'Typed a wrong password when asked again',
	'code-asked': 'Asked for a code by mail',
	'code-refused': 'Typed a wrong code',
	'second-factor-shown': 'Went the second step',
	'second-factor-refused': 'Was refused at the second step',
	'sessions-ended': 'Ended sessions of their own',
	'act-refused': 'Was refused what their role may not do',
	exported: 'Took out'
};

/** What happened at the door, in a sentence without its full stop. */
export function securityEventSentence(event: {
	readonly kind: (typeof securityEvent.$inferSelect)['kind'];
	readonly about: string;
}): string {
	return event.about ? `${SENTENCES[event.kind]}: ${event.about}` : SENTENCES[event.kind];
}
