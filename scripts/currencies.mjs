import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { root } from './ready.mjs';

// Writes src/lib/core/money/currency-digits.ts: ISO 4217 list one as the package `currency-codes` carries it, and what the CLDR of
// this Node knows beside it (newer and older ones). What has no minor unit there (metals, units of account, tests) is no money here.
const list = readFileSync(
	createRequire(import.meta.url).resolve('currency-codes/iso-4217-list-one.xml'),
	'utf8'
);
const published = /Pblshd="([^"]+)"/.exec(list)[1];
const digits = new Map();
const noMoney = new Set();
for (const [, entry] of list.matchAll(/<CcyNtry>(.*?)<\/CcyNtry>/gs)) {
	const code = /<Ccy>(\w{3})<\/Ccy>/.exec(entry)?.[1];
	const units = /<CcyMnrUnts>(.*?)<\/CcyMnrUnts>/.exec(entry)?.[1];
	if (code && /^\d$/.test(units)) digits.set(code, Number(units));
	else if (code) noMoney.add(code);
}
for (const code of Intl.supportedValuesOf('currency'))
	if (!digits.has(code) && !noMoney.has(code))
		digits.set(
			code,
			new Intl.NumberFormat('en', { style: 'currency', currency: code }).resolvedOptions()
				.maximumFractionDigits
		);
const rows = [...digits].sort(([a], [b]) => (a < b ? -1 : 1)).map(([code, count]) => `\t${code}: ${count}`);
writeFileSync(
	join(root, 'src/lib/core/money/currency-digits.ts'),
	`/**
 * Digits of minor units by ISO 4217, list one of ${published}, and by CLDR ${process.versions.cldr} for codes that came later or went.
 * Written by \`node scripts/currencies.mjs\`: change nothing here by hand.
 */
export const CURRENCY_DIGITS: Readonly<Record<string, number>> = {
${rows.join(',\n')}
};
`
);
console.log(`${digits.size} currencies`);
