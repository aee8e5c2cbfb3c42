/** A generator of chance by a seed (Park and Miller, "minimal standard"): the same seed gives the same inputs on every machine. */
export function chanceOf(seed: number): (below: number) => number {
	let state = (seed % 2_147_483_646) + 1;
	return (below) => {
		state = (state * 48_271) % 2_147_483_647;
		return state % below;
	};
}

/** What readers take for something: put in where it does not belong. */
const TOKENS = [
	...[
		'\n',
		'\r',
		'\r\n',
		'\0',
		'\uFEFF',
		'\uD800',
		'"',
		"'",
		',',
		';',
		'/',
		'//',
		'<',
		'>',
		'&',
		'&#0;',
		']]>',
		'<![CDATA['
	],
	...[
		':61:',
		':86:',
		':60F:',
		':62F:',
		':20:',
		'-}',
		'{4:',
		'?20',
		'?32',
		'SVWZ+',
		'EREF+',
		'/NAME/',
		'/REMI/',
		'C',
		'RD'
	],
	...[
		'88,',
		'16,',
		'03,',
		'49,',
		'98,',
		'99,',
		'D,999',
		'V,',
		'<STMTTRN>',
		'</STMTTRN>',
		'<OFX>',
		'</STMTRS>',
		'<FITID>'
	],
	...[
		'<Ntry>',
		'</Ntry>',
		'<Stmt>',
		'</Stmt>',
		'<Document>',
		'<!DOCTYPE a>',
		'<!ENTITY a "b">',
		'0',
		'9',
		'-',
		'.',
		'99999999999999999999'
	],
	...['2026-02-30', '260230', '20260230', 'GBP', 'XQX', ' '.repeat(70), 'A'.repeat(70)]
];

/** A text with one to eight changes: something cut out, put in, said twice, exchanged with another place, or cut off. */
export function mutate(text: string, chance: (below: number) => number): string {
	let out = text;
	for (let n = 1 + chance(8); n > 0; n--) {
		const at = chance(out.length + 1);
		const size = chance(chance(4) === 0 ? 400 : 12);
		const piece = out.slice(at, at + size);
		switch (chance(6)) {
			case 0:
				out = out.slice(0, at) + out.slice(at + size);
				break;
			case 1:
				out = out.slice(0, at) + TOKENS[chance(TOKENS.length)]! + out.slice(at);
				break;
			case 2:
				out = out.slice(0, at) + piece.repeat(1 + chance(30)) + out.slice(at);
				break;
			case 3: {
				const to = chance(out.length + 1);
				out = out.slice(0, to) + piece + out.slice(to);
				break;
			}
			case 4:
				out =
					out.slice(0, at) + String.fromCharCode(chance(chance(3) === 0 ? 65_536 : 128)) + out.slice(at + 1);
				break;
			default:
				if (chance(6) === 0) out = out.slice(0, at);
		}
		if (out.length > 60_000) out = out.slice(0, 60_000);
	}
	return out;
}
