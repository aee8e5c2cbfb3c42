import { setInterest } from '../lib/server/interest/commands/set-interest';
import { INTEREST_TERMS } from './interest-terms';
import { hashPassword } from 'better-auth/crypto';
import { addDays, firstOfMonth, weekday } from '../lib/core/day/arithmetic';
import type { Day } from '../lib/core/day/day';
import { addCustomers } from '../lib/server/customers/commands/add-customers';
import { keepAdvice } from '../lib/server/receipts/commands/keep-advice';
import { addRates } from '../lib/server/firm/commands/add-rates';
import { lockPeriod } from '../lib/server/periods/commands/lock-period';
import { addPersonWithPassword } from '../lib/server/people/commands/people';
import { perform } from '../lib/server/act/perform';
import type { CallContext } from '../lib/server/act/define-act';
import type { Person } from '../lib/server/act/person';
import { setUpFirm } from '../lib/server/firm/commands/set-up-firm';
import { APPLICATION } from '../lib/server/act/person';
import type { Books } from '../lib/server/platform/db/open';
import { writeSetting } from '../lib/server/firm/store/settings';
import { DEMO_PASSWORD, DEMO_PEOPLE, DEMO_START, DEMO_TODAY, EURO, FIRM, STERLING } from './firm';
import { BankBook } from './bank-book';
import { DEPOSIT_ORDER, invoiceForDeposit } from './invoice-for-deposit';
import { documentFiles } from './document-files';
import { must } from './must';
import { makeCustomers } from './make-customers';
import { chance } from './random';
import { asksSupervisor, refundCameBack, toldWrong } from './bad-news';
import { cameBack } from './came-back';
import { chased } from './chased';
import { creditAgainstInvoice, decidedClaims, rareCases } from './rare-cases';
import { recordByHand } from './record-by-hand';
import { Year } from './year';
import { todaysEntries } from './todays-entries';

export interface DemoBooks {
	/** Bank files of the day, not yet imported: to be put where the reader can take them from. */
	readonly todaysFiles: readonly { readonly name: string; readonly text: string }[];
	/** Documents of the day as other systems send them, to be brought in under Open items. */
	readonly documents: readonly { readonly name: string; readonly text: string }[];
}

/**
 * Makes the demo books through the acts that the interface uses: a firm, its people and customers, twelve months of
 * documents, weekly bank statements and their receipts allocated, up to the day before yesterday; and the files of today.
 */
export async function makeBooks(
	books: Books,
	seed = 4081,
	say: (text: string) => void = () => undefined
): Promise<DemoBooks> {
	const random = chance(seed);
	let today = DEMO_START;
	const at = (who: Person): CallContext => ({ who, today, now: () => `${today}T16:20:00.000Z` });
	const passwordHash = await hashPassword(DEMO_PASSWORD);
	const letIn = async (person: (typeof DEMO_PEOPLE)[number]): Promise<Person> => {
		const { id } = await must(
			perform(books, addPersonWithPassword, { ...person, passwordHash }, at(APPLICATION))
		);
		return { id, name: person.name, role: person.role };
	};
	const clerk = await letIn(DEMO_PEOPLE[0]);
	const supervisor = await letIn(DEMO_PEOPLE[1]);
	await letIn(DEMO_PEOPLE[2]);
	await must(perform(books, setUpFirm, FIRM, at(supervisor)));
	await must(perform(books, addRates, euroRates(random.int), at(supervisor)));
	const payers = makeCustomers(random);
	const ids = await must(
		perform(
			books,
			addCustomers,
			payers.map((payer) => payer.customer),
			at(clerk)
		)
	);

	const sterling = new BankBook(STERLING, 'GBP', 4_218_640, DEMO_START);
	const euro = new BankBook(EURO, 'EUR', 1_120_000, DEMO_START);
	const college = payers.find((one) => one.customer.name.includes('College'))!;
	const year = new Year(books, random, payers, ids, { GBP: sterling, EUR: euro }, (agreed) =>
		at(agreed ? supervisor : clerk)
	);
	for (let week = DEMO_START; week <= DEMO_TODAY; week = addDays(week, 7)) {
		for (let one = week; one < addDays(week, 7) && one < addDays(DEMO_TODAY, -1); one = addDays(one, 1))
			if (weekday(one) < 6) year.plan(one);
		if (week <= addDays(DEMO_TODAY, -9) && addDays(week, 7) > addDays(DEMO_TODAY, -9))
			year.deposit(college, 85_000, DEPOSIT_ORDER, addDays(week, 1));
		today = addDays(week, 4) < addDays(DEMO_TODAY, -2) ? addDays(week, 4) : addDays(DEMO_TODAY, -2);
		if (week <= addDays(DEMO_TODAY, -40) && addDays(week, 7) > addDays(DEMO_TODAY, -40))
			rareCases(year, addDays(week, 3));
		await year.post(today);
		say(`books up to ${today}`);
	}
	await invoiceForDeposit(books, at(clerk), ids[college.customer.code]!, DEMO_TODAY);
	await creditAgainstInvoice(books, at(clerk), Object.values(ids));
	await cameBack(books, at(clerk), sterling);
	await decidedClaims(books, at(supervisor));
	await refundCameBack(books, at(supervisor), sterling);
	await chased(books, at(clerk));
	await toldWrong(books, at(clerk));
	await asksSupervisor(books, at(clerk));
	const { paidIn, clubs } = await recordByHand(books, at(clerk), payers, ids);
	// What the cheques pay is no longer owed, so today's entries are of others.
	for (const code of clubs) year.owed.delete(code);
	const { report, announced } = await todaysEntries(year, [addDays(DEMO_TODAY, -1), DEMO_TODAY], paidIn);
	await must(
		perform(
			books,
			keepAdvice,
			{ ...announced, customerId: ids[announced.code]!, date: addDays(DEMO_TODAY, -3) },
			at(clerk)
		)
	);
	const statements = [sterling.close(DEMO_TODAY), euro.close(DEMO_TODAY)].flatMap((file) =>
		file ? [{ name: file.name, text: file.xml }] : []
	);
	const todaysFiles = [...statements, report];
	today = DEMO_TODAY;
	await must(perform(books, setInterest, INTEREST_TERMS, at(supervisor)));
	await must(perform(books, lockPeriod, { through: addDays(firstOfMonth(DEMO_TODAY), -1) }, at(supervisor)));
	await books.write(async (tx) => {
		await writeSetting(tx, 'today', DEMO_TODAY);
		await writeSetting(tx, 'demo', true);
	});
	return { todaysFiles, documents: documentFiles(payers.map((one) => one.customer)) };
}

function euroRates(
	int: (low: number, high: number) => number
): { currency: string; day: Day; millionths: number }[] {
	const rows: { currency: string; day: Day; millionths: number }[] = [];
	let millionths = 858_000;
	for (let one = DEMO_START; one <= DEMO_TODAY; one = addDays(one, 1)) {
		millionths += int(-1_500, 1_500);
		if (weekday(one) < 6) rows.push({ currency: 'EUR', day: one, millionths });
	}
	return rows;
}
