/** JSON text that is no plain value: it is put into the text of a form as it stands. */
export class Raw {
	constructor(readonly text: string) {}
}

/** What nobody in their right mind types into a field, and somebody who means harm does. */
export const BAD_VALUES: readonly unknown[] = [
	...[null, true, [], {}, '', ' ', '0', -1, 0, 0.5, -0, 1e13 + 1, 9e15, -9e15, 2 ** 53, '1e400', 'NaN'],
	...[new Raw('1e400'), new Raw('-1e400'), new Raw('1E+999'), new Raw('99999999999999999999999')],
	...['\0', 'a\0b', '\ud800', 'x\udfff', '\u202egnp.exe', '\r\nBcc: x@elsewhere.example', '\u0085', '\ufeff'],
	...[
		'x'.repeat(100_000),
		'🪙'.repeat(20_000),
		'0'.repeat(40_000),
		'e\u0301'.repeat(5_000),
		'1,'.repeat(9_000)
	],
	...['2026-02-30', '0000-00-00', '9999-12-31', '2026-13-01', '-271821-04-20', '2026-10-30T25:61:61Z'],
	...["' or 1=1 --", '"; drop table act; --', '<script>alert(1)</script>', '${7*7}', '{{7*7}}', '=cmd|x!A1'],
	...['../../etc/passwd', 'C:\\\\x', 'GBP\0', 'ZZZ', '__proto__', 'constructor', 'a@b', 'a@b.example\nx'],
	...[['x'], [null], { length: 5 }, { $ne: null }, { toString: 1 }],
	...[Array.from({ length: 20_000 }, () => 1), new Raw(`${'['.repeat(5_000)}${']'.repeat(5_000)}`)],
	...[
		new Raw(`${'{"a":'.repeat(2_000)}1${'}'.repeat(2_000)}`),
		new Raw('{"__proto__":{"role":"supervisor"}}')
	]
];

/** The JSON text of a value in which raw parts stand as they are. */
export function jsonText(value: unknown): string {
	const raws: string[] = [];
	const text = JSON.stringify(value, (_, one: unknown) =>
		one instanceof Raw ? `@raw${raws.push(one.text) - 1}@` : one
	);
	return (text ?? '').replace(/"@raw(\d+)@"/g, (_, n: string) => raws[Number(n)]!);
}
