import type { StatementEntry } from '../../model/bank';
import { minor } from '../../money/minor';
import type { Problem } from '../../problems';
import { all, at, textAt, type Node } from './node';
import { readAmount, readCharges, readSign, type Place } from './read-amount';
import { readDay } from './read-day';
import { readDetail } from './read-detail';

/**
 * Reads one `Ntry`: null where it is not booked (`PDNG`, `INFO`: the bank will bring it again) or where it has a problem,
 * which is added. The sign is that of the balance's movement: `RvslInd` says only that an earlier entry is taken back
 * (ISO 20022 camt.053 message definition, ReversalIndicator).
 */
export function readEntry(
	node: Node,
	index: number,
	accountCurrency: string | null,
	where: Place,
	problems: Problem[]
): StatementEntry | 'not-booked' | null {
	const bankReference = textAt(node, 'AcctSvcrRef');
	const entryReference = textAt(node, 'NtryRef');
	const place: Place = { ...where, entry: bankReference ?? entryReference ?? `number ${index + 1}` };
	const status = textAt(node, 'Sts/Cd', 'Sts');
	if (status && status !== 'BOOK') return 'not-booked';

	const before = problems.length;
	const amount = readAmount(at(node, 'Amt'), 'Ntry/Amt', place, problems);
	const sign = readSign(node, 'Ntry', place, problems);
	const booked = at(node, 'BookgDt')
		? readDay(node, 'BookgDt', true, place, problems)
		: readDay(node, 'ValDt', true, place, problems);
	const valued = readDay(node, 'ValDt', false, place, problems);
	if (amount && accountCurrency && amount.currency !== accountCurrency)
		problems.push({ code: 'entry-currency', found: amount.currency, account: accountCurrency, ...place });
	if (!amount || !sign || !booked) return null;
	const details = all(node, 'NtryDtls').flatMap((batch) =>
		all(batch, 'TxDtls').map((part) => readDetail(part, sign, amount.currency, place, problems))
	);
	const charges = readCharges(node, amount.currency, place, problems);
	if (problems.length > before) return null;
	return {
		index,
		booked,
		valued,
		amount: minor(sign * amount.value),
		currency: amount.currency,
		reversal: /^(true|1)$/.test(textAt(node, 'RvslInd') ?? ''),
		entryReference,
		bankReference,
		code: transactionCode(node),
		text: textAt(node, 'AddtlNtryInf') ?? '',
		charges,
		details
	};
}

/** The bank transaction code as `PMNT-RCDT-DMCT`, or the bank's own. */
function transactionCode(node: Node): string | null {
	const domain = at(node, 'BkTxCd/Domn');
	const parts = [textAt(domain, 'Cd'), textAt(domain, 'Fmly/Cd'), textAt(domain, 'Fmly/SubFmlyCd')].filter(
		Boolean
	);
	return parts.length ? parts.join('-') : textAt(node, 'BkTxCd/Prtry/Cd');
}
