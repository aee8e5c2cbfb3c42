/** A bank's report of what a statement in camt.053 lists: an account report of the day so far (052), or a notification (054). For tests. */
export function asReport(xml: string, message: 'camt.052' | 'camt.054'): string {
	const [root, element] =
		message === 'camt.052' ? ['BkToCstmrAcctRpt', 'Rpt'] : ['BkToCstmrDbtCdtNtfctn', 'Ntfctn'];
	return xml
		.replace('camt.053', message)
		.replace(/(<\/?)BkToCstmrStmt>/g, `$1${root}>`)
		.replace(/(<\/?)Stmt>/g, `$1${element}>`);
}
