/** What a person is told by mail about their sign-in. */
export type PersonMail =
	| {
			readonly about: 'password-code';
			readonly code: string;
			/** Where it is typed, with the code in it; null where the application does not know its own address. */
			readonly link: string | null;
			readonly minutes: number;
	  }
	| { readonly about: 'password-set' }
	| { readonly about: 'test' }
	| { readonly about: 'second-step-added' | 'second-step-removed'; readonly device: string }
	| { readonly about: 'second-step-taken-off' };

const NOT_YOU = 'If it was not you, tell a supervisor at once: somebody else may have used your sign-in.';

/** A message to a person about their sign-in: plain text, no pictures, nothing to click but the link that was asked for. */
export function personMail(
	firm: string,
	name: string,
	mail: PersonMail
): { readonly subject: string; readonly text: string } {
	const { subject, says } = wordsOf(mail);
	return { subject: `Odd Penny at ${firm}: ${subject}`, text: `${name},\n\n${says.join('\n\n')}\n` };
}

function wordsOf(mail: PersonMail): { readonly subject: string; readonly says: readonly string[] } {
	switch (mail.about) {
		case 'password-code':
			return {
				subject: 'a code to set a password',
				says: [
					'Somebody asked for a code to set a new password for you. It is valid for ' +
						`${mail.minutes} minutes, and once:`,
					`    ${mail.code}`,
					mail.link
						? `Open ${mail.link}`
						: 'On the sign-in page choose “set a password with it”, and type it there.',
					'If it was not you, do nothing: your password stays as it is, and without this code nobody can change it.'
				]
			};
		case 'test':
			return {
				subject: 'a test',
				says: ['This is a test. Statements and reminders go out from the address that this one came from.']
			};
		case 'password-set':
			return { subject: 'your password was set', says: ['Your password has just been changed.', NOT_YOU] };
		case 'second-step-added':
			return {
				subject: 'a second step was added',
				says: [`“${mail.device}” was added as a second step to your sign-in.`, NOT_YOU]
			};
		case 'second-step-removed':
			return {
				subject: 'a second step was taken off',
				says: [`“${mail.device}” is no longer a second step of your sign-in.`, NOT_YOU]
			};
		case 'second-step-taken-off':
			return {
				subject: 'your second step was taken off',
				says: [
					'A supervisor took the second step off your sign-in. You sign in by your password alone until you set one up again.',
					'If you did not ask for that, tell another supervisor at once.'
				]
			};
	}
}
