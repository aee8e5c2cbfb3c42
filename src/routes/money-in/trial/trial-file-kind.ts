/** What a file is in a trial run. */
export type TrialFileKind = 'customers' | 'invoices' | 'bank' | 'history';

/** What a dropped file is, by its name or the columns that its first line names; null where neither tells. */
export function trialFileKind(name: string, beginning: string): TrialFileKind | null {
	if (/\.(xml|camt|zip)$/i.test(name) || beginning.trimStart().startsWith('<')) return 'bank';
	const columns = new Set(
		(beginning.replace(/^\uFEFF/, '').split(/\r?\n/)[0] ?? '')
			.split(/[,;\t]/)
			.map((column) => column.trim().replace(/^"|"$/g, '').toLowerCase())
	);
	if (columns.has('invoice_numbers')) return 'history';
	if (columns.has('number') && columns.has('customer_code')) return 'invoices';
	return columns.has('code') && columns.has('name') ? 'customers' : null;
}
