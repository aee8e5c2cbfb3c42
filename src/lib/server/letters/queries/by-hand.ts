import { and, eq, inArray } from 'drizzle-orm';
import { itemsAskedFor } from '../../../core/7-letters/chasing/chase-account';
import type { LetterDetails } from '../../../core/7-letters/letter-details';
import type { LetterKind } from '../../../core/7-letters/letter';
import { usualWording, type Wording } from '../../../core/7-letters/wording/wording';
import type { Day } from '../../../core/day/day';
import { ZERO } from '../../../core/money/minor';
import { letterLanguageFor } from '../../../words/letters';
import { customerById } from '../../customers/store/customer-by-id';
import { idsOfAccount } from '../../customers/store/merged-accounts';
import { itemsById, openItemsOf } from '../../documents/store/open-items';
import { defineLook } from '../../act/define-look';
import type { Reader } from '../../platform/db/open';
import { document, item, itemState } from '../../platform/db/schema';
import { chaseAccounts, type AccountChase } from '../store/chases';
import { reachOf } from '../store/reach-of';
import { runStep } from '../store/run-step';
import { builtInKeys, readWordings } from '../store/wordings';
import { BUILT_IN_WORDINGS } from '../../../core/7-letters/wording/wording';
import { runRows, type RunRow } from './run-rows';

/** Letters that a person may write by hand. */
export const KINDS_BY_HAND = ['reminder', 'statement', 'copies'] as const satisfies readonly LetterKind[];
export type KindByHand = (typeof KINDS_BY_HAND)[number];

export interface ByHandAsked {
	readonly kind: KindByHand;
	readonly customerId: number;
	readonly currency: string;
	/** Items that it is to be about, by their ids, and documents by their numbers. */
	readonly items: readonly number[];
	readonly numbers: readonly string[];
	readonly wording: string | null;
	/** The customers whose money waits. */
	readonly waiting: readonly number[];
}

export interface ItemByHand {
	readonly id: number;
	readonly number: string;
	readonly due: Day;
	readonly open: number;
	readonly total: number;
	readonly isChosen: boolean;
}

export interface LetterByHand {
	readonly customer: { readonly id: number; readonly code: string; readonly name: string };
	readonly currency: string;
	readonly row: RunRow;
	readonly items: readonly ItemByHand[];
	/** Numbers that are none of this customer's documents. */
	readonly unknown: readonly string[];
	/** Wordings that it may have. */
	readonly wordings: readonly { readonly key: string; readonly name: string | null }[];
	readonly wording: string;
	/** The words of that one, in the customer's language. */
	readonly words: Wording;
}

/** What one letter by hand begins with: the account as it stands, its items, and words to change; null where there is no such customer. */
export const lookAtByHand = defineLook(
	'reader',
	async (db, asked: ByHandAsked, { today }): Promise<LetterByHand | null> => {
		const { kind, customerId, currency } = asked;
		const owner = await customerById(db, customerId).catch(() => null);
		if (!owner) return null;
		const chases = await chaseAccounts(db, today, [customerId]);
		const row = await rowByHand(db, asked, today, chases);
		const chase = chases.get(`${customerId} ${currency}`);
		const usual = new Set(chase ? itemsAskedFor(chase, chase.items, today).map((one) => one.id) : []);
		const found = await idsByNumber(db, customerId, currency, asked.numbers);
		const own = (await openItemsOf(db, [customerId])).filter((one) => one.currency === currency);
		const given = [...new Set([...asked.items, ...found.ids])];
		const more = (await itemsById(db, given)).filter(
			(one) =>
				one.customerId === customerId && one.currency === currency && !own.some(({ id }) => id === one.id)
		);
		const offered = [...own, ...more].filter(
			({ kind: what }) =>
				what === 'invoice' || what === 'charge' || (kind === 'copies' && what === 'credit_note')
		);
		const isChosen = (id: number) =>
			given.length > 0 ? given.includes(id) : kind === 'reminder' && usual.has(id);
		const wordings = await readWordings(db);
		const key =
			asked.wording ?? (kind === 'reminder' ? row.step?.details.wording : undefined) ?? usualWording(kind);
		return {
			customer: { id: owner.id, code: owner.code, name: owner.name },
			...{ currency, row },
			items: offered
				.map(({ id, number, due, open, total }) => ({
					...{ id, number, due, open, total },
					isChosen: isChosen(id)
				}))
				.sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : a.id - b.id)),
			unknown: found.unknown,
			wordings: [
				...builtInKeys
					.filter((one) => BUILT_IN_WORDINGS[one] === kind)
					.map((one) => ({ key: one, name: null })),
				...wordings.own().filter((one) => one.kind === kind)
			].map((one) => ({ key: one.key as string, name: one.name })),
			wording: key,
			words: wordings.wordsFor(key, kind, letterLanguageFor(owner.language)).words
		};
	}
);

/** The account as a run would see it; one that no run is for as it stands for itself. */
async function rowByHand(
	db: Reader,
	{ kind, customerId, currency, waiting }: Pick<ByHandAsked, 'kind' | 'customerId' | 'currency' | 'waiting'>,
	today: Day,
	chases: ReadonlyMap<string, AccountChase>
): Promise<RunRow> {
	const rows =
		kind === 'copies'
			? []
			: await runRows(
					db,
					{ kind, waiting, filter: { everyone: true }, only: [customerId], chases },
					today,
					[]
				);
	const row = rows.find((one) => one.customerId === customerId && one.currency === currency);
	if (row) return row;
	const owner = await customerById(db, customerId);
	const { to: email, copies, way, isReached } = reachOf(owner, kind);
	return {
		...{ customerId, code: owner.code, name: owner.name, currency },
		...{ amount: ZERO, owed: ZERO, late: ZERO, credit: ZERO, way, email, copies },
		held: !isReached ? 'no-address' : kind === 'copies' ? null : 'nothing-owed',
		...{ because: null, lastSent: null, corrects: null, step: null, nextStep: null, isUnderWay: false }
	};
}

/** Items of documents with these numbers, and which numbers are none of this customer's. */
async function idsByNumber(
	db: Reader,
	customerId: number,
	currency: string,
	numbers: readonly string[]
): Promise<{ readonly ids: number[]; readonly unknown: string[] }> {
	if (numbers.length === 0) return { ids: [], unknown: [] };
	const rows = await db
		.select({ id: item.id, number: document.number })
		.from(document)
		.innerJoin(item, eq(item.documentId, document.id))
		.innerJoin(itemState, eq(itemState.itemId, item.id))
		.where(
			and(
				inArray(document.number, [...numbers]),
				inArray(document.customerId, [...(await idsOfAccount(db, customerId))]),
				eq(document.currency, currency)
			)
		)
		.all();
	const known = new Set(rows.map((one) => one.number));
	return { ids: rows.map((one) => one.id), unknown: numbers.filter((one) => !known.has(one)) };
}

/** What the letter of an account's next step is asked for; nothing where no step is due today. */
export const lookAtStep = defineLook(
	'reader',
	async (
		db,
		{ customerId, currency }: { readonly customerId: number; readonly currency: string },
		{ today }
	): Promise<LetterDetails> => {
		const chase = (await chaseAccounts(db, today, [customerId])).get(`${customerId} ${currency}`);
		return (chase && runStep(chase, today)?.details) ?? {};
	}
);
