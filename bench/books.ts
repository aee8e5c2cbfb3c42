import { hashPassword } from 'better-auth/crypto';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { addDays } from '../src/lib/core/day/arithmetic';
import type { ActKind } from '../src/lib/core/model/act-facts';
import { minor } from '../src/lib/core/money/minor';
import { apportion } from '../src/lib/core/money/apportion';
import { DEMO_PASSWORD, DEMO_PEOPLE, DEMO_TODAY, FIRM } from '../src/demo/firm';
import { makeCustomers } from '../src/demo/make-customers';
import { chance } from '../src/demo/random';
import { addCustomers } from '../src/lib/server/customers/commands/add-customers';
import { issueDocuments, type NewDocument } from '../src/lib/server/documents/commands/issue-documents';
import { addPersonWithPassword } from '../src/lib/server/people/commands/people';
import { perform } from '../src/lib/server/act/perform';
import type { Act, CallContext } from '../src/lib/server/act/define-act';
import { setUpFirm } from '../src/lib/server/firm/commands/set-up-firm';
import { APPLICATION } from '../src/lib/server/act/person';
import { config } from '../src/lib/server/platform/config';
import { openBooks, type Books } from '../src/lib/server/platform/db/open';
import { writeSetting } from '../src/lib/server/firm/store/settings';

export const at: CallContext = { who: APPLICATION, today: DEMO_TODAY, now: () => new Date().toISOString() };

export async function must<K extends ActKind, G, I, O>(
	books: Books,
	act: Act<K, G, I, O>,
	input: G
): Promise<O> {
	const result = await perform(books, act, input, at);
	if (!result.ok) throw new Error(JSON.stringify(result.problems));
	return result.value;
}

/** Books with a number of customers and open items, in a folder of their own. */
export async function bookOf(customers: number, items: number): Promise<{ books: Books; folder: string }> {
	const folder = mkdtempSync(join(tmpdir(), 'odd-penny-bench-'));
	const books = await openBooks(`file:${join(folder, 'odd-penny.db')}`, {
		migrations: join(config().root, 'drizzle')
	});
	const random = chance(99);
	const passwordHash = await hashPassword(DEMO_PASSWORD);
	for (const person of DEMO_PEOPLE) await must(books, addPersonWithPassword, { ...person, passwordHash });
	await must(books, setUpFirm, FIRM);
	await books.write(async (tx) => {
		await writeSetting(tx, 'demo', true);
		await writeSetting(tx, 'today', DEMO_TODAY);
	});
	const models = makeCustomers(random)
		.map((payer) => payer.customer)
		.filter((one) => one.currency === 'GBP' && !one.parentCode);
	const rows = Array.from({ length: customers }, (_, i) => {
		const model = models[i % models.length]!;
		return { ...model, code: `C${i + 1}`, name: `${model.name} ${i + 1}`, payerAccounts: [`ACC${i + 1}`] };
	});
	await must(books, addCustomers, rows);
	for (let from = 0; from < items; from += 5000) {
		const documents = Array.from({ length: Math.min(5000, items - from) }, (_, i): NewDocument => {
			const n = from + i;
			const total = minor(random.int(1_000, 500_000));
			const [net, tax] = apportion(total, [5, 1]) as [typeof total, typeof total];
			const issued = addDays(DEMO_TODAY, -random.int(1, 200));
			return {
				kind: 'invoice',
				number: `AK-${100_000 + n}`,
				customerId: (n % customers) + 1,
				issued,
				currency: 'GBP',
				lines: [{ text: 'clay', net, taxBasisPoints: 2000, tax }],
				instalments: [{ due: addDays(issued, 30), amount: total }],
				purchaseOrder: null,
				orderReference: null,
				paymentReference: null,
				text: 'stoneware clay',
				discountBasisPoints: null,
				discountUntil: null
			};
		});
		await must(books, issueDocuments, documents);
	}
	return { books, folder };
}
