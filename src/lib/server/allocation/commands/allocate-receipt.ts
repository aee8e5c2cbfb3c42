import { seenAsAnother } from '../../customers/store/merged-accounts';
import { eq } from 'drizzle-orm';
import { itemLabel } from '../../../core/4-allocation/item-label';
import { type OverLimit } from '../../../core/4-allocation/over-limits';
import { reductionsOf } from '../../../core/4-allocation/reductions-of';
import { allocate } from '../../../core/4-allocation/allocate';
import type { AllocateLine } from '../../../core/4-allocation/allocate-order';
import { journalOfPosting } from '../../../core/5-journal/journal-of-posting';
import type { Day } from '../../../core/day/day';
import { type Minor } from '../../../core/money/minor';
import type { Tx } from '../../platform/db/open';
import { PerTransaction } from '../../platform/db/per-transaction';
import { customer } from '../../platform/db/schema';
import { openClaims } from '../../claims/store/open-claims';
import { postJournal } from '../../ledger/store/post-journal';
import { baseCurrencyOr } from '../../firm/store/settings';
import { whereMoneyLies } from '../../receipts/store/where-money-lies';
import { useAdvice } from '../../receipts/store/kept-advices';
import { keepLesson, openBeside } from '../../matching/store/lessons';
import { keepPayerLesson } from '../../matching/store/payer-lessons';
import { numberPosting } from '../store/number-posting';
import { writePosting } from '../store/write-posting';
import { allocationInput, type AllocationInput, type AllocationOrder } from '../allocation-input';
import type { AllocationReason } from '../../../words';
import { isAsProposed } from '../store/is-as-proposed';
import { moveReceipt } from '../../receipts/store/receipt-states';
import { DomainError } from '../../act/domain-error';
import { chosenDate, moneyOf } from '../../receipts/commands/accounting-day';
import { defineAct, type ActContext } from '../../act/define-act';
import { orderOf } from './order-of';
import { askApproval, overLimitProblems } from '../../approvals/store/ask-approval';
import { overLimitsNow } from '../../reductions/store/over-limits-now';
import { writeReductions } from '../../reductions/store/write-reductions';
import { takeReceipt } from '../../receipts/commands/take-receipt';

export interface Allocated {
	/** Null where it waits for a supervisor. */
	readonly actId: number | null;
	/** What is beyond the person's limit, where a supervisor has to approve it. */
	readonly waits: readonly OverLimit[];
}

/**
 * Posts money and credits: on the items chosen, of one account or several, differences named, claims split off, the rest on
 * account. What is beyond the person's limit is not posted: it waits for a supervisor, with all that was laid.
 */
export const allocateReceipt = defineAct({
	kind: 'allocate-receipt',
	role: 'clerk',
	input: allocationInput,
	run: (ctx, input) => postAllocation(ctx, input)
});

export interface AllocateOptions {
	/**
	 * Money that was allocated before and is allocated again keeps its value in base currency, on the day that a person chose;
	 * what is over a limit is then refused, since it cannot wait.
	 */
	readonly before?: { readonly date: Day; readonly base: Minor };
	/** Why; without them those of the answer that the person saw, where it was accepted. */
	readonly reasons?: readonly (AllocationReason | string)[];
	/** That the act whose part this is has compared all of it with the person's limits. */
	readonly within?: 'checked';
}

/** Allocates as the order says, at the place in the record that the context has. */
export async function postAllocation(
	ctx: ActContext,
	given: AllocationInput,
	{ before, reasons, within }: AllocateOptions = {}
): Promise<Allocated> {
	const { tx } = ctx;
	const input = allocationInput.parse(given);
	const taken =
		input.receiptId === null ? null : await takeReceipt(tx, input.receiptId, input.receiptVersion ?? 0);
	const owner = await ownerOf(tx, input);
	const money = taken && (before ?? (await moneyOf(tx, taken.row, taken.state, ctx.today)));
	const date = money?.date ?? (await chosenDate(tx, input.date, ctx.today));
	const order = await orderOf(tx, input, taken?.row ?? null, date, money?.base ?? null);
	const posting = allocate(order);
	if (!posting.ok) throw new DomainError(...posting.problems);
	checkClaims(input, order.lines);

	const booked = reductionsOf(posting.value);
	const waits = within === 'checked' ? [] : await overLimitsNow(ctx, booked);
	if (waits.length > 0) {
		const { currency } = order;
		if (before) throw new DomainError(...overLimitProblems(waits, await baseCurrencyOr(tx, currency)));
		await askSupervisor(ctx, input, { taken, owner, currency, waits });
		return { actId: null, waits };
	}

	const facts = {
		lines: input.lines,
		credits: input.credits,
		fees: input.fees,
		surplus: input.surplus,
		customerId: input.customerId,
		onAccount: taken ? posting.value.credits.at(-1)!.onAccount : 0,
		depositFor: input.depositFor,
		remember: input.remember,
		reasons: reasons ?? reasonsOf(ctx, input)
	};
	const { currency } = order;
	const actId = taken
		? await ctx.as('allocate-receipt').record({
				date,
				summary: { amount: taken.row.amount, currency, payer: taken.row.payerName, customer: owner.name },
				facts,
				customerId: owner.id,
				receiptId: taken.row.id
			})
		: await ctx.as('allocate-credits').record({
				date,
				summary: {
					amount: posting.value.allocations.reduce((sum, part) => sum + part.creditAmount, 0),
					currency,
					customer: owner.name
				},
				facts,
				customerId: owner.id
			});
	const taught = taken && {
		...{ receiptId: taken.row.id, customerId: owner.id, currency: taken.row.currency },
		...{ booked: taken.row.booked, lines: order.lines }
	};
	const beside = taught ? await openBeside(tx, taught) : [];
	const numbered = await numberPosting(tx, posting.value);
	const receiptId = taken?.row.id ?? null;
	await writePosting(tx, { actId, date, receiptId }, numbered);
	await writeReductions(ctx, actId, booked);
	const claims = await openClaims(tx, { actId, date }, input.lines, numbered, order.lines);
	if (taken) {
		const { onAccount, onAccountBase } = posting.value.credits.at(-1)!;
		const { id } = taken.row;
		await moveReceipt(tx, { id, state: taken.state.state }, 'allocate', actId, {
			...{ customerId: owner.id, onAccount, onAccountBase },
			depositFor: onAccount > 0 ? input.depositFor : null
		});
	}
	if (taken && input.adviceId !== null) await useAdvice(tx, input.adviceId, taken.row.id);
	if (taught) await keepLesson(tx, actId, taught, beside);
	if (taken)
		await keepPayerLesson(
			tx,
			actId,
			{ receiptId: taken.row.id, customerId: owner.id, told: input.remember },
			taken.row
		);
	const brought = taken
		? {
				receiptId: taken.row.id,
				amount: taken.row.amount,
				base: order.receipt!.base,
				currency: taken.row.currency,
				customerId: owner.id,
				...whereMoneyLies(taken.row, taken.state)
			}
		: null;
	await postJournal(tx, actId, date, journalOfPosting(brought, numbered, { receiptId, claims }));
	return { actId, waits: [] };
}

const owners = new PerTransaction<
	{ id: number; name: string; code: string; mergedIntoId: number | null } | undefined
>();

async function ownerOf(tx: Tx, input: AllocationOrder) {
	if (input.customerId === null) throw new DomainError({ code: 'no-customer' });
	const { customerId } = input;
	const owner = await owners.get(tx, String(customerId), () =>
		tx
			.select({
				...{ id: customer.id, name: customer.name, code: customer.code },
				mergedIntoId: customer.mergedIntoId
			})
			.from(customer)
			.where(eq(customer.id, customerId))
			.get()
	);
	if (!owner) throw new DomainError({ code: 'not-found', what: 'customer' });
	if (owner.mergedIntoId !== null) throw await seenAsAnother(tx, owner);
	return owner;
}

function checkClaims(input: AllocationOrder, lines: readonly AllocateLine[]): void {
	for (const [i, line] of input.lines.entries())
		if (line.differences.some((gap) => gap.kind === 'claim') && !line.claim)
			throw new DomainError({ code: 'claim-unexplained', item: itemLabel(lines[i]!.item) });
}

async function askSupervisor(
	ctx: ActContext,
	order: AllocationOrder,
	{
		taken,
		owner,
		currency,
		waits
	}: {
		readonly taken: Awaited<ReturnType<typeof takeReceipt>> | null;
		readonly owner: { readonly id: number; readonly name: string };
		readonly currency: string;
		readonly waits: Allocated['waits'];
	}
): Promise<void> {
	const actId = await askApproval(ctx, {
		...{ kind: 'allocate-receipt', input: order, over: waits, customerId: owner.id },
		receiptId: taken?.row.id ?? null,
		about: taken
			? {
					code: 'allocate',
					sum: { amount: taken.row.amount, currency: taken.row.currency },
					...{ payer: taken.row.payerName, customer: owner.name }
				}
			: { code: 'allocate-credits', currency, customer: owner.name },
		run: (rehearsal) => postAllocation(rehearsal, order)
	});
	if (taken)
		await moveReceipt(ctx.tx, { id: taken.row.id, state: taken.state.state }, 'ask', actId, {
			heldBecause: null,
			heldOrder: JSON.stringify(order)
		});
}

/** Why it was proposed, as the server itself answered last; that it was allocated otherwise, where it was. */
function reasonsOf(ctx: ActContext, order: AllocationOrder): AllocationReason[] {
	const answer = order.receiptId === null ? null : ctx.answerGiven?.(order.receiptId);
	if (!answer || answer.band === 'none') return [];
	return isAsProposed(answer, order) ? [...answer.reasons] : [{ code: 'not-as-proposed' }];
}
