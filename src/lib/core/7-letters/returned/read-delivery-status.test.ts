import fc from 'fast-check';
import { expect, test } from 'vitest';
import { readDeliveryStatus, REPORTED_ACTIONS } from './read-delivery-status';

test.each([
	[
		'one that failed',
		'Reporting-MTA: dns; mx.hazel.example\nOriginal-Envelope-Id: abc\n\nFinal-Recipient: rfc822; a@hazel.example\nAction: failed\nStatus: 5.1.1\nDiagnostic-Code: smtp; 550 5.1.1 No such user\n',
		'abc',
		[
			{
				recipient: 'a@hazel.example',
				action: 'failed',
				status: '5.1.1',
				said: '550 5.1.1 No such user'
			}
		]
	],
	[
		'as we wrote it, where the server forwarded it; what it said goes over several lines',
		'Reporting-MTA: dns; mx\r\n\r\nOriginal-Recipient: rfc822;a@hazel.example\r\nFinal-Recipient: rfc822;b@else.example\r\nAction: Delayed\r\nStatus: 4.4.1 (no answer)\r\nDiagnostic-Code: smtp; 451 try\r\n  again later\r\n',
		null,
		[{ recipient: 'a@hazel.example', action: 'delayed', status: '4.4.1', said: '451 try again later' }]
	],
	[
		'two, one without an action that is known',
		'Reporting-MTA: dns; mx\n\nFinal-Recipient: rfc822; <a@hazel.example>\nAction: delivered\nStatus: 2.0.0\n\nFinal-Recipient: rfc822; b@hazel.example\nAction: eaten\n',
		null,
		[{ recipient: 'a@hazel.example', action: 'delivered', status: '2.0.0', said: '' }]
	],
	['nothing', '', null, []],
	['what is no report', 'Dear all,\n\nI am away.\n', null, []]
])('reads %s', (_, text, envelopeId, recipients) => {
	expect(readDeliveryStatus(text)).toEqual({ envelopeId, recipients });
});

test('what was written as a report is read as it was meant, however its lines end and its names are cased', () => {
	const word = fc.stringMatching(/^[a-z0-9 ]{1,30}[a-z]$/);
	const one = fc.record({
		recipient: fc.stringMatching(/^[a-z.]{1,12}x@[a-z]{1,10}\.example$/),
		action: fc.constantFrom(...REPORTED_ACTIONS),
		status: fc.stringMatching(/^[245]\.[0-9]\.[0-9]{1,3}$/),
		said: word.map((text) => text.trim().replace(/\s+/g, ' '))
	});
	fc.assert(
		fc.property(fc.array(one, { maxLength: 5 }), fc.boolean(), fc.boolean(), (reports, crlf, loud) => {
			const name = (text: string) => (loud ? text.toUpperCase() : text);
			const text = [
				[`${name('Reporting-MTA')}: dns; mx.example`],
				...reports.map(({ recipient, action, status, said }) => [
					`${name('Final-Recipient')}: rfc822; ${recipient}`,
					`${name('Action')}: ${name(action)}`,
					`${name('Status')}: ${status}`,
					`${name('Diagnostic-Code')}: smtp; ${said}`
				])
			]
				.map((lines) => lines.join('\n'))
				.join('\n\n');
			const read = readDeliveryStatus(crlf ? text.replaceAll('\n', '\r\n') : text);
			expect(read.recipients).toEqual(reports);
		})
	);
});

test('anything at all is read without an error, and no more recipients than are believed', () => {
	fc.assert(
		fc.property(fc.string({ maxLength: 500 }), (text) => {
			expect(readDeliveryStatus(text).recipients.length).toBeLessThanOrEqual(60);
		})
	);
	const many = Array.from(
		{ length: 500 },
		(_, n) => `Final-Recipient: rfc822; a${n}@hazel.example\nAction: failed`
	);
	expect(readDeliveryStatus(['Reporting-MTA: dns; mx', ...many].join('\n\n')).recipients).toHaveLength(60);
});
