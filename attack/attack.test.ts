import { describe, expect, it } from 'vitest';
import { BAD_VALUES, jsonText, Raw } from './bad-values';
import type { Client } from './client';
import { someOf, variants } from './from-shape';
import { listActions } from './list-actions';
import { tryRoles } from './roles';
import { SEEN_BY, SENT_BY } from './who-may';

/** Somebody whom the application answers as a rule says. */
function answered(status: (path: string, sends: boolean) => number, text = 'not-allowed'): Client {
	const get = async (path: string) => ({ status: status(path, false), text: '' });
	const act = async (path: string) => ({ status: status(path, true), text, type: 'failure' });
	return { get, act } as unknown as Client;
}

const LEVELS = ['reader', 'clerk', 'supervisor'];
/** An application that does as the table says, for who has a role. */
function asTold(level: string): Client {
	const rank = (role: string) => LEVELS.indexOf(role);
	return answered((path, sends) => {
		const known = Object.entries(sends ? SENT_BY : SEEN_BY).find(
			([pattern]) => pattern.replace(/\[\w+\]/g, '1') === path
		);
		return rank(known?.[1] ?? 'reader') > rank(level) ? 403 : sends ? 400 : 200;
	});
}
const nobody = answered((path, sends) => (sends ? 401 : path.startsWith('/api/') ? 401 : 303));

describe('the attack notices', () => {
	const clients = () => ({
		...{ anybody: nobody, reader: asTold('reader'), clerk: asTold('clerk'), supervisor: asTold('supervisor') }
	});

	it('nothing, where everybody may what the table says', async () => {
		const { asked, wrong } = await tryRoles('.', clients(), nobody);
		expect(wrong).toEqual([]);
		expect(asked).toBeGreaterThan(500);
	});

	it.each([
		[
			'a clerk who may what a supervisor may',
			{ clerk: asTold('supervisor') },
			'a clerk sends /books/periods?/lock'
		],
		['a clerk who may nothing', { clerk: asTold('reader') }, 'a clerk sends /money-in?/post'],
		['a page open to nobody in particular', { anybody: asTold('reader') }, 'nobody asks for /customers'],
		['a failure', { reader: answered(() => 500) }, 'a reader asks for /: 500']
	])('%s', async (_, other, want) => {
		const { wrong } = await tryRoles('.', { ...clients(), ...other }, nobody);
		expect(wrong.join('\n')).toContain(want);
	});
});

describe('what it sends', () => {
	it('every form is listed, with the act that it does', () => {
		const actions = listActions('.');
		expect(actions.length).toBe(Object.keys(SENT_BY).length);
		expect(actions).toContainEqual({ path: '/money-in?/post', act: 'allocateReceipt' });
		expect(actions).toContainEqual({ path: '/money-in?/certain', act: 'post-certain' });
		expect(actions).toContainEqual({ path: '/money-in/bank-files?/accept', act: 'acceptStatement' });
		expect(actions).toContainEqual({ path: '/money-in/bring-in', act: null });
	});

	it('raw parts stand in the text as they are', () =>
		expect(jsonText({ a: [new Raw('1e400'), 2], b: 'x' })).toBe('{"a":[1e400,2],"b":"x"}'));

	it('each part of a value has each bad one in its place, and is left out', () => {
		const whole = someOf({
			type: 'object',
			properties: {
				id: { type: 'integer' },
				lines: { type: 'array', items: { type: 'object', properties: { text: { type: 'string' } } } }
			}
		});
		expect(whole).toEqual({ id: 1, lines: [{ text: 'x' }] });
		const all = [...variants(whole, ['bad'])];
		expect(all).toEqual([
			{ id: undefined, lines: [{ text: 'x' }] },
			{ id: 'bad', lines: [{ text: 'x' }] },
			{ id: 1, lines: undefined },
			{ id: 1, lines: 'bad' },
			{ id: 1, lines: [] },
			{ id: 1, lines: ['bad'] },
			{ id: 1, lines: [{ text: undefined }] },
			{ id: 1, lines: [{ text: 'bad' }] }
		]);
		expect(BAD_VALUES.length).toBeGreaterThan(50);
	});
});
