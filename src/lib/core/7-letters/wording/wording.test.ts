import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkWording } from './check-wording';
import { fillWording } from './fill-wording';
import { LETTER_KINDS } from '../letter-kind';
import { placeholdersFor, PLACEHOLDERS, type Placeholder } from './placeholders';
import { MOST_PLACEHOLDERS, readTemplate } from './read-template';
import { paragraph, plainBlock } from './rich-text';
import type { Wording } from './wording';

const wording = (over: Partial<Wording>): Wording => ({
	...{ title: 'Reminder', subject: '{title} {account}', greeting: 'Dear {contact},', body: [] },
	...{ closing: 'Kind regards,', sender: '{person}', fromName: '', replyTo: '' },
	...over
});

describe('a text with placeholders', () => {
	it.each([
		['Dear {contact}, you owe {amount}.', []],
		['{ Amount }', []],
		['{amuont}', [['unknown', '{amuont}', 'amount']]],
		['{days late}', [['unknown', '{days late}', 'days-late']]],
		['{xyzzy}', [['unknown', '{xyzzy}', null]]],
		['{}', [['unknown', '{}', null]]],
		['{shows}', [['unknown', '{shows}', null]]],
		['Dear {contact', [['not-closed', '{', null]]],
		['contact}', [['not-opened', '}', null]]],
		[
			'{{amount}}',
			[
				['not-closed', '{', null],
				['not-opened', '}', null]
			]
		],
		['<script>alert(1)</script>', []]
	])('%s', (text, faults) => {
		const read = readTemplate(text, 'reminder');
		expect(read.faults.map(({ why, what, near }) => [why, what, near])).toEqual(faults);
	});
	it('has so many placeholders and no more', () => {
		const many = '{amount}'.repeat(MOST_PLACEHOLDERS);
		expect(readTemplate(many, 'reminder').faults).toEqual([]);
		const more = readTemplate(many + '{amount}'.repeat(50_000), 'reminder').faults;
		expect(more[0]?.why).toBe('too-many');
		expect(more.length).toBeLessThanOrEqual(MOST_PLACEHOLDERS + 1);
	});
	it('is made of its parts: what was read, put together again, is the text', () => {
		const piece = fc.oneof(
			fc.string().map((text) => text.replace(/[{}]/g, '')),
			fc.constantFrom(...placeholdersFor('reminder')).map((name) => `{${name}}`)
		);
		fc.assert(
			fc.property(fc.array(piece, { maxLength: 30 }), (pieces) => {
				const text = pieces.join('');
				const { parts, faults } = readTemplate(text, 'reminder');
				expect(faults).toEqual([]);
				expect(parts.map((part) => (part.kind === 'text' ? part.text : `{${part.name}}`)).join('')).toBe(
					text
				);
			})
		);
	});
});

describe('a wording', () => {
	const values = { account: 'H1', contact: 'Ada', amount: '£2.30', person: 'Wren', deducted: '' };
	it('is filled in, and what stands for a part of its own is that part', () => {
		const body = [paragraph('You owe {amount}{deducted}.'), paragraph(' {items} '), paragraph('{deducted}')];
		const filled = fillWording(wording({ body }), 'reminder', values);
		expect(filled).toMatchObject({ subject: 'Reminder H1', greeting: 'Dear Ada,', sender: 'Wren' });
		expect(filled.blocks).toEqual([
			paragraph('You owe £2.30.'),
			{ kind: 'items' },
			// What came to nothing is left out; how to pay always stands in a letter.
			{ kind: 'how-to-pay' }
		]);
	});
	it('keeps braces that a customer has in the name: what was filled in is not read again', () => {
		const filled = fillWording(wording({}), 'reminder', { ...values, contact: '{amount}' });
		expect(filled.greeting).toBe('Dear {amount},');
	});
	it('has a subject on one line, whatever is filled in', () => {
		const filled = fillWording(wording({ subject: '{contact}' }), 'reminder', {
			contact: `Ada\r\nBcc: all@hazel.example ${'x'.repeat(400)}`
		});
		expect(filled.subject).not.toMatch(/[\r\n]/);
		expect(filled.subject.length).toBeLessThanOrEqual(200);
	});
	it.each([
		[{ subject: '{amuont}' }, [['subject', 'unknown']]],
		[{ greeting: '{items}' }, [['greeting', 'not-alone']]],
		[{ body: [paragraph('Here: {items}')] }, [['body', 'not-alone']]],
		[{ body: [paragraph('{items}')] }, []],
		[
			{ body: [{ kind: 'list' as const, ordered: false, items: [[{ text: '{items}' }]] }] },
			[['body', 'not-alone']]
		],
		// Half of it in another look: it would go out as braces.
		[
			{ body: [{ kind: 'paragraph' as const, runs: [{ text: '{am' }, { text: 'ount}', strong: true }] }] },
			[
				['body', 'not-closed'],
				['body', 'not-opened']
			]
		]
	])('%j is checked', (over, faults) => {
		expect(checkWording(wording(over), 'reminder').map(({ field, why }) => [field, why])).toEqual(faults);
	});
	it('that is right never goes out with braces of its own', () => {
		const name = fc.constantFrom(...PLACEHOLDERS).map((one) => `{${one}}`);
		const text = fc
			.array(fc.oneof(name, fc.string({ maxLength: 8 })), { maxLength: 5 })
			.map((all) => all.join(''));
		const all = Object.fromEntries(PLACEHOLDERS.map((one) => [one, 'x'])) as Record<Placeholder, string>;
		fc.assert(
			fc.property(
				fc.constantFrom(...LETTER_KINDS),
				text,
				fc.array(text, { maxLength: 4 }),
				(kind, subject, body) => {
					const one = wording({ subject, body: body.map(paragraph) });
					if (checkWording(one, kind).length > 0) return;
					const filled = fillWording(one, kind, all);
					const said = filled.blocks.flatMap((block) =>
						block.kind === 'paragraph' || block.kind === 'list' ? [plainBlock(block)] : []
					);
					expect([filled.subject, filled.greeting, ...said].join('')).not.toMatch(/[{}]/);
					for (const part of ['items', 'how-to-pay'])
						expect(filled.blocks.filter((block) => block.kind === part).length).toBe(1);
				}
			)
		);
	});
	it('says a link behind its words in plain text', () =>
		expect(
			plainBlock({
				kind: 'list',
				ordered: true,
				items: [
					[{ text: 'pay', link: 'https://pay.example' }],
					[{ text: 'a@b.example', link: 'mailto:a@b.example' }]
				]
			})
		).toBe('1. pay (https://pay.example)\n2. a@b.example'));
});
