import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { RichBlock, RichRun } from '$lib/core/7-letters/wording/rich-text';
import { fromDocument, toDocument } from './rich-document';

const run = fc.record(
	{
		text: fc.stringMatching(/^[a-z {}]{1,12}$/),
		strong: fc.constant(true as const),
		em: fc.constant(true as const),
		link: fc.constant('https://ashlock-kiln.example/pay')
	},
	{ requiredKeys: ['text'] }
) as fc.Arbitrary<RichRun>;
const looksLike = (a: RichRun, b: RichRun) => a.strong === b.strong && a.em === b.em && a.link === b.link;
/** Runs as an editor has them: no two in a row look alike. */
const runs = fc
	.array(run, { minLength: 1, maxLength: 5 })
	.map((all) => all.filter((one, n) => n === 0 || !looksLike(all[n - 1]!, one)))
	.filter((all) => all.every((one, n) => n === 0 || !looksLike(all[n - 1]!, one)));
const block: fc.Arbitrary<RichBlock> = fc.oneof(
	runs.map((all) => ({ kind: 'paragraph' as const, runs: all })),
	fc.record({
		kind: fc.constant('list' as const),
		ordered: fc.boolean(),
		items: fc.array(runs, { minLength: 1, maxLength: 4 })
	})
);

describe('text in the editor', () => {
	it('comes back as it went in', () =>
		fc.assert(
			fc.property(fc.array(block, { minLength: 1, maxLength: 6 }), (text) => {
				expect(fromDocument(toDocument(text))).toEqual(text);
			})
		));
	it('keeps line breaks, and leaves out what a letter cannot say', () => {
		const text = [{ kind: 'paragraph' as const, runs: [{ text: 'one\ntwo' }] }];
		expect(fromDocument(toDocument(text))).toEqual(text);
		expect(
			fromDocument({
				type: 'doc',
				content: [
					{ type: 'image', attrs: { src: 'x' } },
					{ type: 'paragraph' },
					{
						type: 'bulletList',
						content: [
							{
								type: 'listItem',
								content: [
									{ type: 'paragraph', content: [{ type: 'text', text: 'a' }] },
									{
										type: 'bulletList',
										content: [
											{
												type: 'listItem',
												content: [{ type: 'paragraph', content: [{ type: 'text', text: 'b' }] }]
											}
										]
									}
								]
							}
						]
					}
				]
			})
		).toEqual([{ kind: 'list', ordered: false, items: [[{ text: 'a' }], [{ text: 'b' }]] }]);
	});
});
