import type { Minor } from '../money/minor';

/** Whether money can be split into the payments that it is made of: a whole entry of the bank that lies there still. */
export function mayBeSplit(receipt: {
	readonly amount: Minor;
	readonly bankEntryId: number | null;
	readonly parentId: number | null;
	readonly unidentifiedActId: number | null;
}): boolean {
	return (
		receipt.amount > 0 &&
		receipt.bankEntryId !== null &&
		receipt.parentId === null &&
		receipt.unidentifiedActId === null
	);
}
