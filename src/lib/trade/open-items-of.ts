import type { OpenItem } from '../core/model/records';

/** What is open on an account now. */
export async function openItemsOf(customerId: number): Promise<readonly OpenItem[]> {
	const response = await fetch(`/api/desk-items?accounts=${customerId}`);
	if (!response.ok) throw new Error('The open items could not be read. Try again.');
	return (await response.json()) as OpenItem[];
}
