import type { EntryDetail } from '../../model/bank';
import type { Minor } from '../../money/minor';
import type { Problem } from '../../problems';
import { cutText } from '../../text/cut-text';
import { given } from '../given';
import { all, at, textAt, type Node } from './node';
import { readAmount, readCharges, type Place } from './read-amount';

/** The most of a remittance information that is kept, in UTF-16 units: ISO 20022 allows 140 a line, banks send some ten lines. */
const LONGEST_REMITTANCE = 10_000;

/**
 * Reads one `TxDtls`. On money that came the counterparty is the debtor (ultimate debtor's name only where the debtor has
 * none); on money that went, the creditor. Parties stand in `Dbtr` up to version 07 and in `Dbtr/Pty` from 08.
 */
export function readDetail(
	node: Node,
	sign: 1 | -1,
	currency: string,
	place: Place,
	problems: Problem[]
): EntryDetail {
	const parties = at(node, 'RltdPties');
	// A return keeps the parties of the payment that came back: who paid it is its debtor still.
	const sides = at(node, 'RtrInf') ? ['Dbtr', 'Cdtr'] : [sign > 0 ? 'Dbtr' : 'Cdtr'];
	const name = textAt(
		parties,
		...sides.flatMap((side) => [`${side}/Nm`, `${side}/Pty/Nm`, `Ultmt${side}/Nm`, `Ultmt${side}/Pty/Nm`])
	);
	const account = textAt(
		parties,
		...sides.flatMap((side) => [`${side}Acct/Id/IBAN`, `${side}Acct/Id/Othr/Id`])
	);
	const remittance = at(node, 'RmtInf');
	const endToEnd = textAt(node, 'Refs/EndToEndId');
	const instructed = at(node, 'AmtDtls/InstdAmt/Amt');
	const foreign = instructed && instructed.attributes['Ccy'] !== currency ? instructed : undefined;
	const structured = all(remittance, 'Strd').flatMap((part) => textAt(part, 'CdtrRefInf/Ref') ?? []);
	// Document numbers in a structured part are words like any others to the matcher.
	const documents = all(remittance, 'Strd').flatMap((part) =>
		all(part, 'RfrdDocInf').flatMap((doc) => textAt(doc, 'Nb') ?? [])
	);
	return {
		amount: detailAmount(node, currency, place, problems),
		counterpartyName: name && cutText(name, 400),
		counterpartyAccount: account ? account.replace(/\s+/g, '') : null,
		endToEndId: given(endToEnd),
		structuredReference: structured[0] ?? null,
		text: cutText(
			[
				...all(remittance, 'Ustrd').map((line) => line.text.trim()),
				...documents,
				...structured.slice(1),
				textAt(node, 'AddtlTxInf') ?? ''
			]
				.filter(Boolean)
				.join(' '),
			LONGEST_REMITTANCE
		),
		charges: readCharges(node, currency, place, problems),
		instructed: foreign ? { amount: foreign.text.trim(), currency: foreign.attributes['Ccy'] ?? '' } : null,
		returnReason: textAt(node, 'RtrInf/Rsn/Cd', 'RtrInf/Rsn/Prtry', 'RtrInf/OrgnlBkTxCd/Prtry/Cd')
	};
}

/** `Amt` of the transaction (version 03 on), or `AmtDtls/TxAmt/Amt`; null where absent or in another currency. */
function detailAmount(node: Node, currency: string, place: Place, problems: Problem[]): Minor | null {
	const element = at(node, 'Amt') ?? at(node, 'AmtDtls/TxAmt/Amt');
	if (!element || element.attributes['Ccy'] !== currency) return null;
	return readAmount(element, 'TxDtls/Amt', place, problems)?.value ?? null;
}
