import { describe, expect, it } from 'vitest';
import { isEmailAddress } from './email-address';

describe('an e-mail address', () => {
	it.each(['a@b.example', 'first.last+tag@sub.host.example', "o'hara@x-y.example", '1@2.example'])(
		'%s',
		(text) => expect(isEmailAddress(text)).toBe(true)
	);
	it.each([
		['nothing', ''],
		['no host', 'a@'],
		['no name', '@b.example'],
		['a host of one word', 'a@b'],
		['a line break before another', 'a@b.example\nBcc: c@d.example'],
		['a carriage return', 'a@b.example\r'],
		['a blank', 'a b@c.example'],
		['two', 'a@b.example,c@d.example'],
		['brackets', 'A <a@b.example>'],
		['a dot too many', 'a..b@c.example'],
		['a host that begins with a hyphen', 'a@-b.example'],
		['a NUL', 'a\0@b.example'],
		['255 characters', `${'a'.repeat(60)}@${'b'.repeat(60)}.${'c'.repeat(60)}.${'d'.repeat(65)}.example`]
	])('is not %s', (_, text) => expect(isEmailAddress(text)).toBe(false));
});
