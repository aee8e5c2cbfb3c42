import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { creditLines } from '../../../core/1-open-items/credit-lines';
import { decisionOf } from '../../../core/4-allocation/claim-life';
import type { OverLimit, Reduction } from '../../../core/4-allocation/over-limits';
import { CHART } from '../../../core/5-journal/chart';
import type { OpenItem } from '../../../core/model/records';
import type { JournalLine } from '../../../core/model/journal';
import type { Day } from '../../../core/day/day';
import { minor, type Minor } from '../../../core/money/minor';
import { proportion } from '../../../core/money/proportion';
import type { Tx } from '../../platform/db/open';
import { takeIds } from '../../platform/db/take-ids';
import { claim, difference, document, documentLine, item, itemState } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { moveClaim } from '../store/claim-states';
import { changeItems } from '../../documents/store/change-items';
import { nextNumber } from '../../documents/store/next-number';
import { itemsById } from '../../documents/store/open-items';
import { postJournal } from '../../ledger/store/post-journal';
import { askApproval } from '../../approvals/store/ask-approval';
import { overLimitsNow } from '../../reductions/store/over-limits-now';
import { writeReductions } from '../../reductions/store/write-reductions';
import { issue } from '../../documents/commands/issue-documents';
import { chosenDayField, noteField, sumField } from '../../act/fields';
import { defineAct, type ActContext } from '../../act/define-act';
import { chosenDate } from '../../receipts/commands/accounting-day';
import { postAllocation } from '../../allocation/commands/allocate-receipt';

export const decideInput = z.object({
	claims: z
		.array(
			z.object({
				/** The claim's own item, in the version that was seen. */
				itemId: z.number().int(),
				version: z.number().int(),
				/** How much of it is allowed with a credit note, owed again on its invoice, and written off; the rest waits on. */
				allow: sumField,
				billBack: sumField,
				writeOff: sumField
			})
		)
		.min(1, 'Choose a claim first.')
		.max(500),
	note: noteField,
	date: chosenDayField
});
type Decision = z.output<typeof decideInput>['claims'][number];

export interface Decided {
	/** Null where nothing is decided, but a supervisor was asked. */
	readonly actId: number | null;
	readonly decided: number;
	/** What is beyond the person's limit. */
	readonly waits: readonly OverLimit[];
}

/**
 * Decides claims, whole or in parts: allowed (a credit note is issued and settles it), billed back (its invoice is owed again,
 * with its first due date), or written off as a bad debt. All of them or none; beyond the person's limit a supervisor is asked.
 */
export const decideClaims = defineAct({
	kind: 'decide-claims',
	role: 'clerk',
	input: decideInput,
	run: async (ctx, input): Promise<Decided> => {
		const waits = await askFirst(ctx, input);
		if (waits.length) return { actId: null, decided: 0, waits };
		const date = await chosenDate(ctx.tx, input.date, ctx.today);
		const decided = input.claims.length;
		const actId = await ctx.record({ date, summary: { count: decided, note: input.note } });
		for (const one of input.claims) await decide(ctx.part('decide-claim'), one, date, input.note);
		return { actId, decided, waits: [] };
	}
});

/** What is allowed and written off of all the claims together counts against the limits. */
async function askFirst(ctx: ActContext, input: z.output<typeof decideInput>): Promise<OverLimit[]> {
	const items = new Map(
		(
			await itemsById(
				ctx.tx,
				input.claims.map((one) => one.itemId)
			)
		).map((item) => [item.id, item])
	);
	const known = input.claims.flatMap((one) => {
		const item = items.get(one.itemId);
		return item && item.version === one.version && one.allow + one.billBack + one.writeOff <= item.open
			? [{ ...one, item }]
			: [];
	});
	// What is wrong about one is refused, and not asked about.
	if (known.length < input.claims.length) return [];
	const over = await overLimitsNow(ctx, known.flatMap(reductionsOfDecision));
	if (over.length === 0) return over;
	const sums = (part: 'allow' | 'billBack' | 'writeOff') =>
		known.flatMap(({ item: { number, currency }, [part]: amount }) =>
			amount > 0 ? [{ amount, currency, number }] : []
		);
	const owners = [...new Set(known.map(({ item }) => item.customerId))];
	await askApproval(ctx, {
		...{ kind: 'decide-claims', input, over },
		about: {
			code: 'decide-claims',
			...{ allowed: sums('allow'), billedBack: sums('billBack'), writtenOff: sums('writeOff') },
			note: input.note
		},
		customerId: owners.length === 1 ? owners[0]! : null,
		run: (rehearsal) => decideClaims.run(rehearsal.as('decide-claims'), input)
	});
	return over;
}

/** What a decision takes off the account; billed back, it stays there. */
function reductionsOfDecision({
	item: { open, openBase, customerId },
	allow,
	writeOff
}: Decision & { readonly item: OpenItem }): Reduction[] {
	const base = (part: Minor) => proportion(openBase, part, open);
	return [
		{ kind: 'claim_allowed', base: base(allow), customerId },
		{ kind: 'bad_debt', base: base(writeOff), customerId }
	];
}

async function decide(
	ctx: ActContext<'decide-claim'>,
	one: Decision,
	date: Day,
	note: string
): Promise<void> {
	const { tx } = ctx;
	const found = await tx
		.select({ claim, document })
		.from(claim)
		.innerJoin(document, eq(document.id, claim.documentId))
		.innerJoin(item, eq(item.documentId, claim.documentId))
		.where(eq(item.id, one.itemId))
		.get();
	const [now] = await itemsById(tx, [one.itemId]);
	if (!found || !now || found.claim.state !== 'open')
		throw new DomainError({ code: 'not-found', what: 'open claim' });
	const { number, currency, customerId } = found.document;
	if (now.version !== one.version)
		throw new DomainError({ code: 'claim-changed', claim: number, open: now.open, currency });
	const sum = one.allow + one.billBack + one.writeOff;
	if (sum <= 0 || sum > now.open)
		throw new DomainError({ code: 'over-item', item: number, asked: sum, open: now.open, currency });
	const actId = await ctx.record({
		date,
		summary: {
			...{ number, currency, note },
			...{ allowed: one.allow, billedBack: one.billBack, writtenOff: one.writeOff }
		},
		facts: { ...one, note },
		customerId,
		documentId: found.document.id
	});
	let version = one.version;
	if (one.billBack > 0) {
		await billBack(
			tx,
			{ actId, date },
			found.claim.fromItemId,
			one.itemId,
			one.billBack,
			customerId,
			currency
		);
		version++;
	}
	if (one.allow > 0) {
		await writeReductions(
			ctx,
			actId,
			reductionsOfDecision({ ...one, item: now }).filter(({ kind }) => kind === 'claim_allowed')
		);
		const noteItem = await issueNote(ctx, found.claim.fromItemId, one.allow, number, date);
		await postAllocation(ctx.part('allocate-receipt'), {
			...{ receiptId: null, receiptVersion: null, customerId, date },
			lines: [
				{ itemId: one.itemId, version, cash: one.allow, differences: [] },
				{ itemId: noteItem, version: 1, cash: -one.allow, differences: [] }
			]
		});
		version++;
	}
	if (one.writeOff > 0)
		await postAllocation(
			ctx.part('allocate-receipt'),
			{
				...{ receiptId: null, receiptVersion: null, customerId, date },
				lines: [
					{
						...{ itemId: one.itemId, version, cash: 0 },
						differences: [{ kind: 'bad_debt', amount: one.writeOff }]
					}
				]
			},
			{ within: 'checked' }
		);
	if (sum === now.open) await moveClaim(tx, found.claim, decisionOf(one));
}

/** The invoice is owed again by so much, the claim by so much less; receivables stand on both sides. */
async function billBack(
	tx: Tx,
	at: { readonly actId: number; readonly date: Day },
	fromItemId: number,
	claimItemId: number,
	value: Minor,
	customerId: number,
	currency: string
): Promise<void> {
	const [from] = await itemsById(tx, [fromItemId]);
	const [own] = await itemsById(tx, [claimItemId]);
	const base = proportion(own!.openBase, value, own!.open);
	const row = { ...at, receiptId: null, kind: 'claim' as const };
	const id = await takeIds(tx, difference, 2);
	await tx.insert(difference).values([
		{ ...row, id, itemId: claimItemId, amount: value, base },
		{ ...row, id: id + 1, itemId: fromItemId, amount: minor(-value), base: minor(-base) }
	]);
	await changeItems(tx, at.actId, [
		{ itemId: claimItemId, open: minor(own!.open - value), openBase: minor(own!.openBase - base) },
		{ itemId: fromItemId, open: minor(from!.open + value), openBase: minor(from!.openBase + base) }
	]);
	const line = (sign: 1 | -1, of: number, itemId: number): JournalLine => ({
		...{ account: CHART.receivables.code, customerId, currency, bankEntryId: null },
		...{ amount: minor(sign * value), base: minor(sign * base) },
		source: { kind: 'deduction', id: of, itemId, receiptId: null }
	});
	await postJournal(tx, at.actId, at.date, [line(1, id + 1, fromItemId), line(-1, id, claimItemId)]);
}

/** A credit note over what is allowed, at the invoice's rates of tax; returns its item. */
async function issueNote(
	ctx: ActContext,
	fromItemId: number,
	value: number,
	claimNumber: string,
	date: Day
): Promise<number> {
	const { tx } = ctx;
	const from = await tx
		.select({ document })
		.from(item)
		.innerJoin(document, eq(document.id, item.documentId))
		.where(eq(item.id, fromItemId))
		.get();
	const head = from!.document;
	const lines = await tx.select().from(documentLine).where(eq(documentLine.documentId, head.id));
	const text = `allowed on ${head.number}, ${claimNumber}`;
	const { documentIds } = await issue(ctx, [
		{
			kind: 'credit_note',
			creditNoteKind: 'other',
			number: await nextNumber(tx, 'credit_note'),
			...{ customerId: head.customerId, issued: date, currency: head.currency, text },
			lines: creditLines(
				minor(value),
				lines.map((line) => ({ ...line, net: line.net, tax: line.tax })),
				text
			),
			instalments: [{ due: date, amount: minor(value) }],
			...{ purchaseOrder: head.purchaseOrder, orderReference: null, paymentReference: null },
			...{ discountBasisPoints: null, discountUntil: null }
		}
	]);
	const row = await tx
		.select({ id: itemState.itemId })
		.from(itemState)
		.innerJoin(item, eq(item.id, itemState.itemId))
		.where(eq(item.documentId, documentIds[0]!))
		.get();
	return row!.id;
}
