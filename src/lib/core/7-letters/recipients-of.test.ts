import { expect, test } from 'vitest';
import type { Contact, ContactCopies } from '../model/customer-details';
import type { LetterKind } from './letter';
import { recipientsOf } from './recipients-of';

const contact = (email: string | null, copies: ContactCopies): Contact => ({
	...{ name: 'Ada', role: '', phone: null, email, copies }
});

test.each<[string, LetterKind, (string | null)[], Contact[], string | null, string[]]>([
	['a statement', 'statement', ['s@x.example', 'r@x.example'], [], 's@x.example', []],
	['a reminder', 'reminder', ['s@x.example', 'r@x.example'], [], 'r@x.example', []],
	['a reminder without an address of its own', 'reminder', ['s@x.example', null], [], 's@x.example', []],
	['a notice of a returned payment', 'returned', ['s@x.example', 'r@x.example'], [], 'r@x.example', []],
	['a letter to nobody', 'statement', [null, 'r@x.example'], [], null, []],
	[
		'copies of statements',
		'statement',
		['s@x.example', null],
		[
			contact('a@x.example', 'statements'),
			contact('b@x.example', 'reminders'),
			contact('c@x.example', 'all')
		],
		's@x.example',
		['a@x.example', 'c@x.example']
	],
	[
		'copies of reminders, each once, and none to who gets it',
		'reminder',
		['s@x.example', null],
		[contact('b@x.example', 'reminders'), contact('b@x.example', 'all'), contact('s@x.example', 'all')],
		's@x.example',
		['b@x.example']
	],
	[
		'no copy to who has no address',
		'statement',
		['s@x.example', null],
		[contact(null, 'all')],
		's@x.example',
		[]
	],
	[
		'no copy to who wants none',
		'statement',
		['s@x.example', null],
		[contact('a@x.example', 'none')],
		's@x.example',
		[]
	]
])('%s goes where it is said to', (_, kind, [statementEmail, reminderEmail], contacts, to, copies) => {
	const owner = { statementEmail: statementEmail ?? null, reminderEmail: reminderEmail ?? null, contacts };
	expect(recipientsOf(owner, kind)).toEqual({ to, copies });
});
