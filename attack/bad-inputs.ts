import { z } from 'zod';
import { DEMO_PASSWORD } from '../src/demo/firm';
import type { AnyAct } from '../src/lib/server/act/define-act';
import { BAD_VALUES, jsonText } from './bad-values';
import type { Client } from './client';
import { listActions } from './list-actions';
import { someOf, variants, type Shape } from './from-shape';

/** Every act of the application, by the name that its file gives it, and by its kind. */
const acts = new Map<string, AnyAct>();
const modules = import.meta.glob<Record<string, unknown>>(
	['../src/lib/server/*/commands/*.ts', '!../src/**/*.test.ts'],
	{ eager: true }
);
for (const exports of Object.values(modules))
	for (const [name, one] of Object.entries(exports))
		if (typeof one === 'object' && one !== null && 'run' in one && 'kind' in one)
			acts.set(name, one as AnyAct).set((one as AnyAct).kind, one as AnyAct);

/** An account that nobody has, on this machine: what is sent there goes nowhere. */
const ACCOUNT = { host: '127.0.0.1', port: 1, security: 'none', user: 'x', password: 'x' };

/** Forms whose input the page makes of something else: a text, or a list that somebody pasted. */
const OWN_FIELDS: Readonly<Record<string, object>> = {
	'/money-in/manual-receipts?/paste': { text: 'CHQ 100.00', method: 'cheque' },
	'/letters?/send': {
		...{ kind: 'statement', statement: { kind: 'activity', from: '2026-10-01', to: '2026-10-30' } },
		...{ note: 'x', copyToMe: false, seen: { letter: 0, run: 0 } },
		chosen: [{ customerId: 1, currency: 'GBP', amount: 1, overruled: 'paused', note: 'x' }]
	},
	'/letters/interest/charged/[act]?/letters': { run: 1, seen: { letter: 0, run: 0 } },
	'/letters/write?/send': {
		...{
			kind: 'reminder',
			customerId: 1,
			currency: 'GBP',
			amount: 1,
			overruled: 'paused',
			wording: 'reminder'
		},
		words: {
			...{ title: 'x', subject: 'x', greeting: 'x', closing: 'x', sender: 'x', fromName: 'x', replyTo: '' },
			body: [{ kind: 'paragraph', runs: [{ text: 'x', strong: true, link: 'https://x.example' }] }]
		},
		...{ isChanged: true, about: [1], attach: true, copyToMe: false, seen: { letter: 0, run: 0 } }
	},
	'/books/settings/mail?/server': ACCOUNT,
	'/books/settings/mail?/mailbox': { ...ACCOUNT, folder: 'x', address: 'a@b.example' },
	'/books/settings/mail?/makeKey': { domain: 'firm.example', selector: 'x' },
	'/open-items?/attach': { documentId: 1 },
	'/money-in/returned?/notice': { returned: [1], seen: 0 },
	'/books/rates?/one': { currency: 'EUR', day: '2026-10-30', rate: '0.85' },
	'/books/rates?/add': { text: 'day,currency,rate\n2026-10-30,EUR,0.85' },
	'/open-items/bring-in?/documents': { text: 'number,kind\n1,invoice', what: 'documents' },
	'/open-items/bring-in?/customers': { text: 'code,name\n1,x', what: 'customers' },
	'/open-items/bring-in?/history': { text: 'customer_code,date,amount\n1,x,y', what: 'history' },
	'/open-items/bring-in?/preview': { text: 'code,name\n1,x', what: 'customers' },
	'/books/rates?/preview': { text: 'x' },
	'/me/second-step?/app': { name: 'x', mark: 'a'.repeat(22), code: '000000' },
	'/me/second-step?/passkey': { name: 'x', passkey: '{}' },
	'/me?/password': { before: 'x', password: 'x' },
	'/money-in/trial': { text: 'x' },
	'/odd-pennies/[number]?/file': { documentId: 1, note: 'x' }
};

export interface BadInputsReport {
	readonly sent: number;
	/** How many were refused, and by what; what is odd and yet allowed is no fault. */
	readonly refused: number;
	/** Answers that say that the application failed, each in a line. */
	readonly failed: readonly string[];
	/** The longest that one took, in milliseconds, and which. */
	readonly slowest: readonly [number, string];
}

/**
 * Sends every form with bad values in every field that its shape has: wrong kinds, too long, too large, not Unicode, not numbers. None of
 * them may make the application fail. Which field has which value is spread evenly where there are more than may be sent.
 * @param most how many are sent
 */
export async function sendBadInputs(
	root: string,
	client: Client,
	most: number,
	avoid: ReadonlySet<string> = new Set()
): Promise<BadInputsReport> {
	const cases = listActions(root)
		.filter(({ path }) => !avoid.has(path))
		.flatMap(({ path, act }) => {
			const own = OWN_FIELDS[path];
			const found = act === null ? undefined : acts.get(act);
			if (!own && !found) return [];
			const whole = own ?? (someOf(shapeOf(found!)) as object);
			const bad = [...variants(whole, BAD_VALUES), ...BAD_VALUES];
			return bad.map((input): [string, unknown] => [path.replace(/\[\w+\]/g, '1'), input]);
		});
	// What takes two people asks for the password again; else it would be refused for that alone.
	await client.post('/api/confirm', JSON.stringify({ password: DEMO_PASSWORD }));
	const failed: string[] = [];
	let [sent, refused] = [0, 0];
	let slowest: readonly [number, string] = [0, ''];
	const step = Math.max(1, cases.length / most);
	for (let at = 0; at < cases.length && sent < most; at += step) {
		const [path, input] = cases[Math.floor(at)]!;
		const json = jsonText(input);
		const from = performance.now();
		const { status, text } = await client.act(path, json, `bad-${sent}`);
		const took = performance.now() - from;
		if (took > slowest[0]) slowest = [Math.round(took), `${path} ${json.slice(0, 100)}`];
		sent++;
		if (status >= 400) refused++;
		if (status >= 500) failed.push(`${status} ${path} ${json.slice(0, 200)}: ${text.slice(0, 120)}`);
	}
	return { sent, refused, failed, slowest };
}

function shapeOf(act: AnyAct): Shape {
	return z.toJSONSchema(act.input, { io: 'input', unrepresentable: 'any' }) as Shape;
}
