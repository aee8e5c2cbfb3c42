import { expect, it } from 'vitest';
import { personMail, type PersonMail } from './person-mail';

const MAILS: readonly (readonly [PersonMail, string, RegExp])[] = [
	[
		{
			about: 'password-code',
			code: 'ABCD-EFGH',
			link: 'https://b.example/set-password#ABCD-EFGH',
			minutes: 30
		},
		'a code to set a password',
		/valid for 30 minutes, and once:\n\n {4}ABCD-EFGH\n\nOpen https:\/\/b\.example\/set-password#ABCD-EFGH\n/
	],
	[
		{ about: 'password-code', code: 'ABCD-EFGH', link: null, minutes: 30 },
		'a code to set a password',
		/On the sign-in page choose/
	],
	[{ about: 'password-set' }, 'your password was set', /If it was not you, tell a supervisor/],
	[{ about: 'second-step-added', device: 'My phone' }, 'a second step was added', /“My phone” was added/],
	[
		{ about: 'second-step-removed', device: 'My phone' },
		'a second step was taken off',
		/“My phone” is no longer a second/
	],
	[{ about: 'second-step-taken-off' }, 'your second step was taken off', /by your password alone/]
];

it.each(MAILS)('%j', (mail, subject, text) => {
	const told = personMail('Ashlock Kiln & Clay Ltd', 'Wren', mail);
	expect(told.subject).toBe(`Odd Penny at Ashlock Kiln & Clay Ltd: ${subject}`);
	expect(told.text).toMatch(/^Wren,\n\n/);
	expect(told.text).toMatch(text);
});
