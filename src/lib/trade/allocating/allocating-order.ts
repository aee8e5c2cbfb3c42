import { typedAmount } from '../../words/typed-amount';
import type { AllocationInput } from '../../server/allocation/allocation-input';
import type { FeeKind, SurplusKind } from '../../core/model/posting';
import type { Minor } from '../../core/money/minor';
import type { Desk } from '../../server/allocation/queries/desk';
import type { rowOf } from './allocating-row';

/** What lies on the strip, as far as it is sent. */
interface Laid {
	readonly desk: Desk;
	readonly currency: string;
	readonly credits: readonly {
		readonly receiptId: number;
		readonly version: number;
		readonly use: Minor | null;
	}[];
	readonly rows: readonly ReturnType<typeof rowOf>[];
	readonly fees: readonly { readonly kind: FeeKind; readonly text: string }[];
	readonly surplus: SurplusKind | null;
	/** What of the money is not allocated. */
	readonly left: number;
	readonly depositFor: string;
	readonly adviceId: number | null;
	readonly remember: boolean;
	readonly date: string;
}

/** What lies on the strip, as it is sent to be posted. What cannot be read as an amount is nothing: the line at the foot says so before. */
export function orderOf(laid: Laid) {
	const { receipt, customer } = laid.desk;
	return {
		receiptId: receipt?.id ?? null,
		receiptVersion: receipt?.version ?? null,
		customerId: customer?.id ?? null,
		credits: laid.credits.flatMap(({ receiptId, version, use }) =>
			use === 0 ? [] : [{ receiptId, version, use: use ?? 0 }]
		),
		lines: laid.rows.map((row) => ({
			itemId: row.item.id,
			version: row.item.version,
			cash: row.cash ?? 0,
			...(row.settles === null ? {} : { settles: row.settles }),
			differences: row.gaps
				.filter((gap) => gap.amount !== 0)
				.map((gap) => ({ kind: gap.kind, amount: gap.amount ?? 0 })),
			...(row.claim && row.gaps.some((gap) => gap.kind === 'claim') ? { claim: row.claim } : {})
		})),
		fees: laid.fees.map((fee) => ({ kind: fee.kind, amount: amountIn(fee.text, laid.currency) })),
		surplus: laid.surplus && laid.left > 0 ? [{ kind: laid.surplus, amount: laid.left }] : [],
		depositFor: laid.depositFor.trim() || null,
		adviceId: laid.adviceId,
		remember: laid.remember,
		date: receipt || !laid.date ? null : laid.date
	} satisfies AllocationInput;
}

function amountIn(text: string, currency: string): number {
	const parsed = typedAmount(text, currency, false);
	return typeof parsed === 'string' ? 0 : parsed;
}
