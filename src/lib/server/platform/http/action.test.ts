import type { RequestEvent } from '@sveltejs/kit';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { ok } from '../../../core/result';
import { DomainError } from '../../act/domain-error';
import { defineAct } from '../../act/define-act';
import type { Person } from '../../act/person';
import { holdReceipt } from '../../receipts/commands/hold-receipt';
import { as, bankXml, bringIn, CLERK, credit, newDocument, READER, testBooks } from '../../testing';
import { problemSentence } from '../../../words';
import { BRITISH, useConventions } from '../../../words/conventions';
import type { Books } from '../db/open';
import { act as actTable } from '../db/schema';
import { action, preview, shaped } from './action';
import { csvResponse } from './csv-response';
import { look, statusOf } from './refuse';
import { mayAct, view } from './view';

let books: Books;
beforeEach(async () => {
	books = await testBooks(newDocument('AK-1', 1, 1000));
	await bringIn(books, bankXml([credit(1000, 'AK-1')]));
});

/** A request to an action as the framework hands it on. */
function sent(
	fields: Record<string, unknown>,
	who: Person | null = CLERK,
	headers: Record<string, string> = {}
) {
	const form = new FormData();
	for (const [name, value] of Object.entries(fields)) form.set(name, value as string);
	const read = vi.fn(async () => form);
	const event = {
		locals: {
			app: {
				books,
				context: async (by: Person, key?: string, given?: unknown) => ({ ...as(by, key), sent: given })
			},
			who
		},
		request: { headers: new Headers(headers), formData: read }
	} as unknown as RequestEvent;
	return { event, read };
}

const hold = (because: string, key?: string) => ({
	json: JSON.stringify({ receiptId: 1, receiptVersion: 1, because, order: null }),
	...(key && { key })
});
const countActs = async () => (await books.db.select().from(actTable)).length;

describe('an action', () => {
	it('does the act with what was sent, and says by which act it is undone', async () => {
		const answer = await action(holdReceipt)(sent(hold('asked them')).event);
		expect(answer).toMatchObject({ output: expect.anything(), undo: null });
		expect(await countActs()).toBeGreaterThan(4);
	});

	it('refuses whom the act is not for before anything is read', async () => {
		const { event, read } = sent(hold('asked them'), READER);
		expect(await action(holdReceipt)(event)).toMatchObject({ status: 403, data: { codes: ['not-allowed'] } });
		expect(read).not.toHaveBeenCalled();
	});

	it('refuses what is too large before it is read', async () => {
		const { event, read } = sent(hold('asked them'), CLERK, { 'content-length': '5000000' });
		expect(await action(holdReceipt)(event)).toMatchObject({
			status: 400,
			data: { codes: ['file-too-large'] }
		});
		expect(read).not.toHaveBeenCalled();
	});

	it('says of a form that arrived damaged that nothing was posted', async () => {
		const before = await countActs();
		const answer = await action(holdReceipt)(sent({ json: '{"receiptId":' }).event);
		expect(answer).toMatchObject({
			status: 400,
			data: { problems: [expect.stringContaining('nothing was posted')] }
		});
		expect(await countActs()).toBe(before);
	});

	it('says what is wrong by field, all of it at once', async () => {
		const given = { receiptId: 1, receiptVersion: 'x', because: 'y'.repeat(401), order: null };
		const answer = await action(holdReceipt)(sent({ json: JSON.stringify(given) }).event);
		expect(answer).toMatchObject({ status: 400 });
		expect(Object.keys((answer as unknown as { data: { fields: object } }).data.fields)).toEqual([
			'receiptVersion',
			'because'
		]);
	});

	it('answers who changed it where the page was overtaken', async () => {
		await action(holdReceipt)(sent(hold('asked them')).event);
		const answer = await action(holdReceipt)(sent(hold('asked again')).event);
		expect(answer).toMatchObject({ status: 409, data: { codes: ['receipt-taken'] } });
	});

	it('gives the same answer to the same key, does it once, and prepares it once', async () => {
		const prepare = vi.fn(async (fields: unknown) => ok(fields as never));
		const then = vi.fn();
		const act = action(holdReceipt, { prepare, then });
		const first = await act(sent(hold('asked them', 'k1')).event);
		const acts = await countActs();
		expect(await act(sent(hold('asked them', 'k1')).event)).toEqual(first);
		expect(await countActs()).toBe(acts);
		expect(prepare).toHaveBeenCalledTimes(1);
		expect(then).toHaveBeenCalledTimes(2);
		expect(await act(sent(hold('something else', 'k1')).event)).toMatchObject({
			status: 409,
			data: { codes: ['key-used'] }
		});
	});

	it('lets a bug be a bug', async () => {
		const broken = defineAct({
			kind: 'note-claim',
			role: 'clerk',
			input: z.object({}),
			run: async () => {
				throw new TypeError('a bug');
			}
		});
		await expect(action(broken)(sent({ json: '{}' }).event)).rejects.toThrow(TypeError);
	});
});

describe('a preview', () => {
	it('shows and writes nothing, to whom it is for', async () => {
		const show = preview('clerk', async (fields) => ok({ seen: fields }));
		expect(await show(sent({ a: '1' }).event)).toEqual({ seen: { a: '1' } });
		expect(await show(sent({ a: '1' }, READER).event)).toMatchObject({ status: 403 });
	});
});

describe('a view', () => {
	it('makes of what a look refuses the page’s error', async () => {
		await expect(
			look(Promise.reject(new DomainError({ code: 'not-found', what: 'account NOBODY' })))
		).rejects.toMatchObject({
			status: 404,
			body: { message: problemSentence({ code: 'not-found', what: 'account NOBODY' }) }
		});
		await expect(look(Promise.reject(new RangeError('a bug')))).rejects.toThrow(RangeError);
		expect(await look(Promise.resolve(7))).toBe(7);
	});
	it('hands on who looks and when', async () => {
		const { event } = sent({});
		const app = { ...event.locals.app, today: async () => '2026-10-30' };
		const seen = await view(
			{ ...event.locals, app } as never,
			async (_, input: number, viewer) => ({ input, viewer }),
			5
		);
		expect(seen).toEqual({ input: 5, viewer: { who: CLERK, today: '2026-10-30' } });
		expect([mayAct({ ...event.locals, who: READER } as never), mayAct(event.locals as never)]).toEqual([
			false,
			true
		]);
	});
	it('has a status for each problem, the first that has one of its own', () =>
		expect([
			statusOf([{ code: 'file-empty' }]),
			statusOf([{ code: 'file-empty' }, { code: 'not-found', what: 'x' }])
		]).toEqual([400, 404]));
});

it('shaped gives every problem of any field', () =>
	expect(shaped(z.object({ a: z.string(), b: z.number() }), { a: 1, b: 'x' })).toMatchObject({
		ok: false,
		problems: [
			{ code: 'field', field: 'a' },
			{ code: 'field', field: 'b' }
		]
	}));

it('a CSV file is UTF-8 with its mark, quoted where it must be, and holds no formulas', async () => {
	const response = csvResponse(
		'open-items',
		['Customer', 'Open'],
		[
			['Hill, Hazel "Pots"', '12.50'],
			['=HYPERLINK("x")', '-3.00']
		]
	);
	const bytes = new Uint8Array(await response.arrayBuffer());
	expect([...bytes.slice(0, 3)]).toEqual([0xef, 0xbb, 0xbf]);
	expect(new TextDecoder().decode(bytes)).toBe(
		'Customer,Open\r\n"Hill, Hazel ""Pots""",12.50\r\n"\'=HYPERLINK(""x"")",-3.00\r\n'
	);
	expect(response.headers.get('content-disposition')).toContain('attachment; filename="open-items.csv"');
});

it('a CSV file has semicolons where a comma stands before decimals, as spreadsheets there expect', async () => {
	useConventions({ ...BRITISH, locale: 'de-DE' });
	try {
		const text = await csvResponse('open-items', ['Customer', 'Open'], [['Hill, Hazel', '12,50']]).text();
		expect(text.replace('\ufeff', '')).toBe('Customer;Open\r\nHill, Hazel;12,50\r\n');
	} finally {
		useConventions(BRITISH);
	}
});
