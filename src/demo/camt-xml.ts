import { escapeMarkup } from '../lib/core/text/escape-markup';
import { toDecimal } from '../lib/core/money/to-decimal';
import type { Minor } from '../lib/core/money/minor';

export interface XmlDetail {
	readonly amount: number;
	readonly name: string | null;
	readonly account: string | null;
	readonly text: string;
	readonly reference?: string;
	readonly endToEnd?: string;
	/** ISO 20022 ExternalReturnReason1Code. */
	readonly returned?: string;
}

export interface XmlEntry {
	/** Signed, in minor units. */
	readonly amount: number;
	readonly booked: string;
	readonly reference: string;
	readonly code?: readonly [string, string];
	readonly info?: string;
	readonly details: readonly XmlDetail[];
}

export interface XmlStatement {
	readonly reference: string;
	readonly sequence: number;
	readonly account: string;
	readonly currency: string;
	readonly opening: number;
	readonly openingOn: string;
	readonly closingOn: string;
	readonly entries: readonly XmlEntry[];
}

/** Writes statements as camt.053.001.08, piece by piece, so that a large file need not be held whole. */
export function* camtXml(statements: readonly XmlStatement[], messageId: string): Generator<string> {
	const created = `${statements.at(-1)!.closingOn}T18:00:00`;
	yield `<?xml version="1.0" encoding="UTF-8"?>\n<Document xmlns="urn:iso:std:iso:20022:tech:xsd:camt.053.001.08"><BkToCstmrStmt><GrpHdr><MsgId>${messageId}</MsgId><CreDtTm>${created}</CreDtTm></GrpHdr>\n`;
	for (const statement of statements) {
		const { currency, entries } = statement;
		const closing = entries.reduce((sum, entry) => sum + entry.amount, statement.opening);
		yield `<Stmt><Id>${statement.reference}</Id><ElctrncSeqNb>${statement.sequence}</ElctrncSeqNb><CreDtTm>${created}</CreDtTm><Acct><Id><IBAN>${statement.account}</IBAN></Id><Ccy>${currency}</Ccy></Acct>`;
		yield (
			balance('OPBD', statement.opening, currency, statement.openingOn) +
			balance('CLBD', closing, currency, statement.closingOn) +
			'\n'
		);
		for (const entry of entries) yield entryXml(entry, currency);
		yield '</Stmt>\n';
	}
	yield '</BkToCstmrStmt></Document>\n';
}

function balance(type: string, amount: number, currency: string, on: string): string {
	return `<Bal><Tp><CdOrPrtry><Cd>${type}</Cd></CdOrPrtry></Tp>${amountXml(amount, currency)}${direction(amount)}<Dt><Dt>${on}</Dt></Dt></Bal>`;
}

function entryXml(entry: XmlEntry, currency: string): string {
	const [family, sub] = entry.code ?? (entry.amount < 0 ? ['ICDT', 'DMCT'] : ['RCDT', 'DMCT']);
	const details = entry.details.map((detail) => detailXml(detail, entry.amount, currency)).join('');
	return `<Ntry><NtryRef>${entry.reference}</NtryRef>${amountXml(entry.amount, currency)}${direction(entry.amount)}<Sts><Cd>BOOK</Cd></Sts><BookgDt><Dt>${entry.booked}</Dt></BookgDt><ValDt><Dt>${entry.booked}</Dt></ValDt><AcctSvcrRef>${entry.reference}</AcctSvcrRef><BkTxCd><Domn><Cd>PMNT</Cd><Fmly><Cd>${family}</Cd><SubFmlyCd>${sub}</SubFmlyCd></Fmly></Domn></BkTxCd>${details ? `<NtryDtls>${details}</NtryDtls>` : ''}${entry.info ? `<AddtlNtryInf>${escapeMarkup(entry.info)}</AddtlNtryInf>` : ''}</Ntry>\n`;
}

function detailXml(detail: XmlDetail, signed: number, currency: string): string {
	const side = signed < 0 ? 'Cdtr' : 'Dbtr';
	const name = detail.name ? `<${side}><Pty><Nm>${escapeMarkup(detail.name)}</Nm></Pty></${side}>` : '';
	const account = detail.account ? `<${side}Acct><Id><IBAN>${detail.account}</IBAN></Id></${side}Acct>` : '';
	const parties = name || account ? `<RltdPties>${name}${account}</RltdPties>` : '';
	const structured = detail.reference
		? `<Strd><CdtrRefInf><Ref>${escapeMarkup(detail.reference)}</Ref></CdtrRefInf></Strd>`
		: '';
	const words = detail.text ? `<Ustrd>${escapeMarkup(detail.text)}</Ustrd>` : '';
	const remittance = words || structured ? `<RmtInf>${words}${structured}</RmtInf>` : '';
	const returned = detail.returned ? `<RtrInf><Rsn><Cd>${detail.returned}</Cd></Rsn></RtrInf>` : '';
	return `<TxDtls><Refs><EndToEndId>${escapeMarkup(detail.endToEnd ?? 'NOTPROVIDED')}</EndToEndId></Refs>${amountXml(detail.amount, currency)}${direction(signed)}${parties}${remittance}${returned}</TxDtls>`;
}

function amountXml(amount: number, currency: string): string {
	return `<Amt Ccy="${currency}">${toDecimal(Math.abs(amount) as Minor, currency)}</Amt>`;
}

function direction(amount: number): string {
	return `<CdtDbtInd>${amount < 0 ? 'DBIT' : 'CRDT'}</CdtDbtInd>`;
}
