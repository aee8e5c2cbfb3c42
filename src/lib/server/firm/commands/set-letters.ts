import { z } from 'zod';
import { STATEMENT_KINDS } from '../../../core/7-letters/letter';
import { STATEMENT_DAYS } from '../../../core/7-letters/statement-schedule';
import { takesTwo } from '../../approvals/store/takes-two';
import { defineAct } from '../../act/define-act';
import { readSetting, writeSetting } from '../store/settings';

/** Places in a link that are filled in for each letter. */
const PLACES = /\{(?:reference|amount|currency)\}/g;

/** Whether it is the address of a page that is sent safely, whatever is filled in. */
function isLink(text: string): boolean {
	const filled = text.replace(PLACES, '1');
	return /^https:\/\/[^\s{}]+$/.test(filled) && URL.canParse(filled);
}

const setLettersInput = z.object({
	inCredit: z.enum(['send', 'hold']),
	payLink: z
		.string()
		.trim()
		.max(300)
		.refine((text) => text === '' || isLink(text), {
			message:
				'Give an address that begins with https://, with {reference}, {amount} and {currency} where they go.'
		}),
	perMinute: z
		.number('Give the letters of a minute as a whole number.')
		.int('Give the letters of a minute as a whole number.')
		.min(1, 'At least one letter a minute has to go.')
		.max(10_000, 'Leave it empty, if they may all go at once.')
		.nullable(),
	schedule: z.object({ when: z.enum(STATEMENT_DAYS), kind: z.enum(STATEMENT_KINDS) })
});

const plain = defineAct({
	kind: 'set-letters',
	role: 'supervisor',
	input: setLettersInput,
	run: async (ctx, { inCredit, payLink, perMinute, schedule }): Promise<{ actId: number }> => {
		await writeSetting(ctx.tx, 'letters', { inCredit, perMinute, schedule, ...(payLink ? { payLink } : {}) });
		return { actId: await ctx.record({ summary: { inCredit, payLink, perMinute }, facts: { schedule } }) };
	}
});
const agreed = takesTwo(plain, (_, { payLink }) => ({ code: 'set-letters', payLink }));

/** Sets how letters go. Where they can be paid decides where money goes: another page takes two people. */
export const setLetters: typeof agreed = {
	...agreed,
	run: async (ctx, input) => {
		const before = (await readSetting(ctx.tx, 'letters'))?.payLink ?? '';
		return input.payLink === before ? plain.run(ctx, input) : agreed.run(ctx, input);
	}
};
