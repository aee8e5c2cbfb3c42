import { and, asc, desc, eq, gt } from 'drizzle-orm';
import { groupBy } from '../../../core/group-by';
import { age } from '../../../core/6-reports/age';
import { ageEnds } from '../../firm/store/age-ends';
import type { Letter, LetterKind, LetterLanguage, StatementAsked } from '../../../core/7-letters/letter';
import type { LetterDetails } from '../../../core/7-letters/letter-details';
import { usualWording } from '../../../core/7-letters/wording/wording';
import { recipientsOf, type Recipients } from '../../../core/7-letters/recipients-of';
import { writeLetter } from '../../../core/7-letters/write-letter';
import type { Day } from '../../../core/day/day';
import type { StatementFile } from '../../../core/model/customer-details';
import type { OpenItem } from '../../../core/model/records';
import { sumOf } from '../../../core/money/add';
import { minor, ZERO } from '../../../core/money/minor';
import { err, type Result } from '../../../core/result';
import { letterLanguageFor, wordLetter, type WordingFacts } from '../../../words/letters';
import { anchorCode } from '../../platform/anchors/anchor-code';
import { inList } from '../../platform/db/in-list';
import type { Reader } from '../../platform/db/open';
import { anchor, customer, manualReceipt, receipt, receiptState } from '../../platform/db/schema';
import { itemsById, openItemsOf } from '../../documents/store/open-items';
import { interestLines } from '../../interest/store/interest-lines';
import { payIntoFor } from '../../firm/store/firm-bank';
import { readSetting } from '../../firm/store/settings';
import { returnedPayments } from '../../returns/store/returned-payments';
import { accountsOn, partPayments, type AccountsOn } from './accounts-on';
import { activityOf } from './activity-of';
import type { LetterAccount } from './letter-versions';
import { readWordings, type Wordings } from './wordings';
import { overtakenLetters } from './overtaken-letters';

/** Copies of so many documents go with one letter: mail servers take no more than some megabytes. */
const MOST_COPIES = 100;

export interface LetterFor extends Recipients {
	readonly letter: Letter;
	/** Documents of which copies go with it. */
	readonly attached: readonly number[];
	/** As what its lines go along beside its paper. */
	readonly files: readonly StatementFile[];
}

/** What is asked of one letter. */
export interface LetterOfOne extends LetterAccount, LetterDetails {
	/** What a person adds to this one. */
	readonly note?: string;
}

/** Which letters are asked for. */
export interface LettersAsked {
	readonly kind: LetterKind;
	/** What kind of statements; those of open items as of today where it is not said. */
	readonly statement?: StatementAsked;
	readonly accounts: readonly LetterOfOne[];
	/** In whose name they go. */
	readonly person?: string;
	/** In which language they are shown, in place of the customer's own. */
	readonly language?: LetterLanguage;
	/** What a person adds to each. */
	readonly note?: string;
	/** Who gets a copy of each, beside the customer's own people. */
	readonly copyTo?: string | null;
}

/** The letters that accounts would get today, as data, and where they would go: in the order asked, each by itself. */
export async function lettersFor(db: Reader, asked: LettersAsked, today: Day): Promise<Result<LetterFor>[]> {
	const { kind, accounts } = asked;
	const statement: StatementAsked = asked.statement ?? { kind: 'open', from: null, to: today };
	const day = kind === 'statement' ? statement.to : today;
	const ids = [...new Set(accounts.map((one) => one.customerId))];
	const owners = new Map(
		(await db.select().from(customer).where(inList(customer.id, ids)).all()).map((row) => [row.id, row])
	);
	const firm = await readSetting(db, 'firm');
	const settings = await readSetting(db, 'letters');
	const standing = day < today ? await accountsOn(db, ids, day) : await accountsNow(db, ids);
	const open = [...standing.items.values()].flat();
	const parts = await partPayments(
		db,
		open.filter((item) => item.open < item.total).map((item) => item.id),
		day
	);
	const dated = groupBy(
		await db
			.select()
			.from(manualReceipt)
			.where(and(inList(manualReceipt.customerId, ids), gt(manualReceipt.date, day)))
			.orderBy(asc(manualReceipt.date), asc(manualReceipt.id))
			.all(),
		(row) => `${row.customerId} ${row.currency}`
	);
	const overtaken = kind === 'statement' ? await overtakenLetters(db, ids.length === 1 ? ids[0]! : null) : [];
	const told = new Map(overtaken.map((one) => [`${one.customerId} ${one.currency}`, one]));
	const record = kind === 'statement' ? await newestRecord(db) : null;
	const interest =
		kind === 'interest'
			? await interestLines(
					db,
					accounts.flatMap((one) => one.about ?? [])
				)
			: null;
	const wordings = await readWordings(db);
	const ends = await ageEnds(db);
	const payInto = new Map<string, Awaited<ReturnType<typeof payIntoFor>>>();
	for (const { currency } of accounts)
		if (!payInto.has(currency)) payInto.set(currency, await payIntoFor(db, currency));
	const written: Result<LetterFor>[] = [];
	for (const account of accounts) {
		const { customerId, currency, returnedId = null } = account;
		const owner = owners.get(customerId);
		if (!owner || !firm) {
			written.push(err({ code: 'not-found', what: 'customer' }));
			continue;
		}
		const items = isOfSettled(kind)
			? (await itemsById(db, account.about ?? [])).filter((item) => item.customerId === customerId)
			: (standing.items.get(customerId) ?? []);
		const returned = returnedId === null ? null : await returnedInLetter(db, returnedId, items);
		if (kind === 'returned' && returned === null) {
			written.push(err({ code: 'not-found', what: 'returned payment whose notice waits' }));
			continue;
		}
		const note = [asked.note, account.note].filter(Boolean).join('\n\n');
		const corrects = told.get(`${customerId} ${currency}`);
		const activity =
			kind === 'statement' && statement.from
				? await activityOf(db, account, statement.from, statement.to)
				: null;
		const letter = writeLetter(kind, {
			...{ date: today, currency, items, language: asked.language ?? letterLanguageFor(owner.language) },
			...(kind === 'statement' ? { statement } : {}),
			...(activity ? { activity } : {}),
			...(corrects ? { corrects: { kind: corrects.kind, date: corrects.date } } : {}),
			...(returned ? { returned: returned.payment } : {}),
			...(returned || account.about ? { about: new Set(returned?.itemIds ?? account.about) } : {}),
			...(interest ? { interest: (account.about ?? []).flatMap((id) => interest.get(id) ?? []) } : {}),
			...(note ? { note } : {}),
			...(record ? { record } : {}),
			credits: (standing.credits.get(customerId) ?? []).filter((one) => one.currency === currency),
			payments: parts,
			customer: {
				...{ id: owner.id, code: owner.code, name: owner.name },
				address: owner.statementAddress ?? owner.address
			},
			firm: {
				...{ name: firm.name, address: firm.address, email: firm.email, phone: firm.phone },
				...{ registration: firm.registration, logo: firm.logo }
			},
			pay: { account: payInto.get(currency) ?? null, link: settings?.payLink ?? null },
			age: (rows, on) => age(rows, on, ends),
			dated: (dated.get(`${customerId} ${currency}`) ?? []).map((row) => ({
				...{ date: row.date, amount: minor(row.amount) },
				reference: `${row.method} ${row.reference}`.trim()
			}))
		});
		const { to, copies } = recipientsOf(owner, kind);
		const more = [...(account.copies ?? []), asked.copyTo].filter((one) => one && one !== to);
		if (!letter.ok) {
			written.push(letter);
			continue;
		}
		const contact = contactOf(owner, { to, copies });
		const worded = withWords(letter.value, wordings, account, { contact, person: asked.person });
		written.push({
			ok: true,
			value: {
				letter: worded,
				to,
				copies: [...new Set([...copies, ...more] as string[])],
				attached: account.attach || kind === 'copies' ? documentsOf(worded, items) : [],
				files: kind === 'statement' ? owner.statementFiles : []
			}
		});
	}
	return written;
}

/** Letters that show items whether anything is open of them or not. */
const isOfSettled = (kind: LetterKind) => kind === 'thanks' || kind === 'copies' || kind === 'interest';

/** The documents of a letter's rows, each once, as they stand in it. */
function documentsOf(letter: Letter, items: readonly OpenItem[]): number[] {
	const byNumber = new Map(items.map((item) => [item.number, item]));
	const found = letter.rows.flatMap((row) => {
		const item = byNumber.get(row.number);
		return item && item.kind !== 'claim' ? [item.documentId] : [];
	});
	return [...new Set(found)].slice(0, MOST_COPIES);
}

/** The letter with its words: those for it alone, those of its wording, or those that came with the application. */
function withWords(letter: Letter, wordings: Wordings, asked: LetterOfOne, facts: WordingFacts): Letter {
	const key = asked.wording ?? usualWording(letter.kind);
	const { words, used } = wordings.wordsFor(key, letter.kind, letter.language);
	const says = wordLetter(letter, asked.words ?? words, { ...facts, step: asked.step });
	return { ...letter, says, wording: asked.words ? { ...used, isChanged: true } : used };
}

/** Whom a letter addresses by name: whoever has the address that it goes to, or gets copies of its kind; nobody else reads it. */
function contactOf(
	{ contacts }: typeof customer.$inferSelect,
	{ to, copies }: Recipients
): string | undefined {
	const named = contacts.filter((one) => one.name !== '' && one.email !== null);
	return (named.find((one) => one.email === to) ?? named.find((one) => copies.includes(one.email!)))?.name;
}

/** Accounts as they stand now, from what is kept beside the records. */
async function accountsNow(db: Reader, ids: readonly number[]): Promise<AccountsOn> {
	const credits = await db
		.select({
			customerId: receiptState.customerId,
			currency: receipt.currency,
			date: receipt.booked,
			open: receiptState.onAccount
		})
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.where(and(inList(receiptState.customerId, ids), gt(receiptState.onAccount, ZERO)))
		.orderBy(asc(receipt.booked), asc(receipt.id))
		.all();
	return {
		items: groupBy(await openItemsOf(db, ids), (item) => item.customerId),
		credits: groupBy(credits, (row) => row.customerId!)
	};
}

/** The newest anchor, as a statement names it; null where there is none yet. */
async function newestRecord(db: Reader): Promise<{ readonly day: Day; readonly code: string } | null> {
	const last = await db.select().from(anchor).orderBy(desc(anchor.id)).limit(1).all();
	return last[0] ? { day: last[0].day, code: anchorCode(last[0]) } : null;
}

/** A returned payment as its notice tells of it; null where it does not stand or its notice was sent. */
async function returnedInLetter(db: Reader, id: number, items: readonly OpenItem[]) {
	const [back] = await returnedPayments(db, { id });
	if (!back || back.letterId !== null) return null;
	const charge = items.filter((item) => item.documentId === back.chargeId);
	return {
		payment: {
			...{ id, amount: minor(back.amount), reason: back.reason, method: back.method },
			...{ paidOn: back.paidOn, on: back.date },
			charge: sumOf(charge, (item) => item.open)
		},
		itemIds: [...back.opened, ...charge.map((item) => item.id)]
	};
}
