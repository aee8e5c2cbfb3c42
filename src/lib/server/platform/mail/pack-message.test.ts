import MailComposer from 'nodemailer/lib/mail-composer/index.js';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { hashOfPaper } from '../files/papers';
import { packMessage, unpackMessage } from './pack-message';

const compose = (text: string, papers: readonly Uint8Array[]) =>
	new MailComposer({
		from: 'accounts@ashlock-kiln.example',
		to: 'h1@hazel.example',
		subject: text.slice(0, 20),
		text,
		html: `<p>${text}</p>`,
		attachments: papers.map((one, n) => ({ filename: `${n}.pdf`, content: Buffer.from(one) }))
	})
		.compile()
		.build();

test('a message is the same after it was taken apart', async () => {
	await fc.assert(
		fc.asyncProperty(
			fc.string({ unit: 'grapheme', maxLength: 200 }),
			fc.array(fc.uint8Array({ minLength: 1, maxLength: 3000 }), { maxLength: 3 }),
			async (text, papers) => {
				const eml = await compose(text, papers);
				const kept = new Map(papers.map((one) => [hashOfPaper(one), one]));
				const packed = packMessage(eml, papers);
				expect((await unpackMessage(packed, async (hash) => kept.get(hash)!)).equals(eml)).toBe(true);
			}
		),
		{ numRuns: 60 }
	);
});

test('what hangs on it is not in what is kept', async () => {
	const paper = Buffer.alloc(50_000, 'a paper of some length. ');
	const packed = packMessage(await compose('short', [paper]), [paper]);
	expect(packed.length).toBeLessThan(2_500);
});
