import { escapeMarkup } from '../text/escape-markup';
import type { Day } from '../day/day';
import type { Minor } from '../money/minor';
import { minor } from '../money/minor';
import { toDecimal } from '../money/to-decimal';

export interface Refund {
	/** Unique for ever: the bank refuses the same one twice, and its entry brings it back. At most 35 characters. */
	readonly endToEndId: string;
	readonly payee: string;
	/** IBAN or another account number, without spaces. */
	readonly account: string;
	readonly amount: Minor;
	readonly text: string;
}

export interface PaymentOrder {
	readonly messageId: string;
	/** ISO 8601 with time, as given. */
	readonly madeAt: string;
	readonly payOn: Day;
	readonly firm: string;
	readonly from: { readonly account: string; readonly bic: string | null };
	readonly currency: string;
	readonly refunds: readonly Refund[];
}

/**
 * Refunds as a customer credit transfer initiation for the bank: ISO 20022 pain.001.001.09, one batch from one account in one
 * currency. Names are cut at 140 characters and words at 140, as the standard's Max140Text; nothing else is changed.
 */
export function pain001(order: PaymentOrder): string {
	const { refunds, currency } = order;
	const sum = toDecimal(minor(refunds.reduce((all, one) => all + one.amount, 0)), currency);
	const transfers = refunds
		.map(
			(one) =>
				`<CdtTrfTxInf><PmtId><EndToEndId>${safe(one.endToEndId)}</EndToEndId></PmtId><Amt><InstdAmt Ccy="${currency}">${toDecimal(one.amount, currency)}</InstdAmt></Amt><Cdtr><Nm>${safe(one.payee)}</Nm></Cdtr><CdtrAcct><Id>${accountId(one.account)}</Id></CdtrAcct><RmtInf><Ustrd>${safe(one.text)}</Ustrd></RmtInf></CdtTrfTxInf>`
		)
		.join('\n');
	const agent = order.from.bic
		? `<BICFI>${safe(order.from.bic)}</BICFI>`
		: '<Othr><Id>NOTPROVIDED</Id></Othr>';
	return `<?xml version="1.0" encoding="UTF-8"?>
<Document xmlns="urn:iso:std:iso:20022:tech:xsd:pain.001.001.09"><CstmrCdtTrfInitn>
<GrpHdr><MsgId>${safe(order.messageId)}</MsgId><CreDtTm>${safe(order.madeAt)}</CreDtTm><NbOfTxs>${refunds.length}</NbOfTxs><CtrlSum>${sum}</CtrlSum><InitgPty><Nm>${safe(order.firm)}</Nm></InitgPty></GrpHdr>
<PmtInf><PmtInfId>${safe(order.messageId)}</PmtInfId><PmtMtd>TRF</PmtMtd><NbOfTxs>${refunds.length}</NbOfTxs><CtrlSum>${sum}</CtrlSum><ReqdExctnDt><Dt>${order.payOn}</Dt></ReqdExctnDt><Dbtr><Nm>${safe(order.firm)}</Nm></Dbtr><DbtrAcct><Id>${accountId(order.from.account)}</Id><Ccy>${currency}</Ccy></DbtrAcct><DbtrAgt><FinInstnId>${agent}</FinInstnId></DbtrAgt>
${transfers}
</PmtInf></CstmrCdtTrfInitn></Document>
`;
}

/** An IBAN has two letters and two check digits; anything else goes as another kind of number. */
function accountId(account: string): string {
	return /^[A-Z]{2}\d{2}[A-Z0-9]{8,30}$/.test(account)
		? `<IBAN>${account}</IBAN>`
		: `<Othr><Id>${safe(account)}</Id></Othr>`;
}

/** As much of a text as a field of the message takes (Max140Text). */
const safe = (text: string) => escapeMarkup(text.slice(0, 140));
