import { shortDay } from './format';

/** How an account is marked for returned payments: "A cheque came back on 14 Sep." Null where none did. */
export function returnedMark(
	returned: readonly { readonly method: string; readonly date: string }[],
	today?: string
): string | null {
	const [last] = returned;
	if (!last) return null;
	const what = last.method === 'bank' ? 'payment' : last.method;
	return returned.length === 1
		? `A ${what} of theirs was returned on ${shortDay(last.date, today)}.`
		: `${returned.length} of their payments were returned, the last, a ${what}, on ${shortDay(last.date, today)}.`;
}
