/** A firm's own series of numbers. */
export interface Series {
	readonly number: (n: number) => string;
	readonly credit: (n: number) => string;
	readonly first: number;
}

const pad = (n: number, digits: number) => String(n).padStart(digits, '0');
export const SERIES: readonly Series[] = [
	{ number: (n) => `SI${pad(n, 6)}`, credit: (n) => `SC${pad(n, 6)}`, first: 48_200 },
	{ number: (n) => `${n}`, credit: (n) => `${n}`, first: 817_000 },
	{ number: (n) => `2026/${pad(n, 4)}`, credit: (n) => `G2026/${pad(n, 4)}`, first: 612 },
	{ number: (n) => `FV/${n}/10/2026`, credit: (n) => `KOR/${n}/10/2026`, first: 1_204 },
	{ number: (n) => `R26-${pad(n, 5)}`, credit: (n) => `G26-${pad(n, 5)}`, first: 3_310 },
	{ number: (n) => `FAC-2026-${pad(n, 4)}`, credit: (n) => `AV-2026-${pad(n, 4)}`, first: 1_440 },
	{ number: (n) => `26${pad(n, 6)}`, credit: (n) => `26${pad(n, 6)}`, first: 90_100 },
	{ number: (n) => `${n}`, credit: (n) => `C${n}`, first: 6_120 },
	{ number: (n) => `AR ${pad(n, 7)}`, credit: (n) => `AC ${pad(n, 7)}`, first: 20_877 },
	{ number: (n) => `INV.${n}/A`, credit: (n) => `CRN.${n}/A`, first: 10_560 },
	{ number: (n) => `F${n}`, credit: (n) => `A${n}`, first: 880 },
	{ number: (n) => `10-${n}-B`, credit: (n) => `11-${n}-B`, first: 7_001 },
	{ number: (n) => `VF2026${pad(n, 5)}`, credit: (n) => `VK2026${pad(n, 5)}`, first: 2_204 },
	{ number: (n) => `${n}`, credit: (n) => `9${n}`, first: 2_026_100 }
];
