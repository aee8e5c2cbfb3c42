import { expect, test } from 'vitest';
import { trialFileKind } from './trial-file-kind';

test.each([
	['a.csv', 'code,name,also_known_as\nC1,Hazel', 'customers'],
	['b.CSV', '\uFEFF"number";"kind";"customer_code";"total"\r\n', 'invoices'],
	['c.csv', 'payer_name,payer_account,customer_code,date,amount,currency,invoice_numbers\n', 'history'],
	['d.xml', '', 'bank'],
	['statement', '<?xml version="1.0"?>', 'bank'],
	['e.csv', 'Name,Amount\n', null],
	['f.txt', '', null]
])('%s is known by its name or its first line', (name, text, kind) =>
	expect(trialFileKind(name, text)).toBe(kind)
);
