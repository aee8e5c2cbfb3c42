/** Where the server is, and as whom. */
interface Desk {
	readonly base: string;
	readonly cookie: string;
}

/** How long a clerk waits for a post, and for the page after it, where one posts as fast as that goes, and where five do. */
export async function clerks(desk: Desk, say: (what: string, figure: string) => void): Promise<void> {
	await oneClerk(desk, 1, 5);
	for (const people of [1, 5]) {
		const from = performance.now();
		const each = Array.from({ length: people }, (_, n) => oneClerk(desk, 10 + people * 100 + n * 20, 20));
		const waits = (await Promise.all(each)).flat().sort((a, b) => a - b);
		const rate = (waits.length * 1_000) / (performance.now() - from);
		const at = (share: number) => waits[Math.floor((waits.length - 1) * share)]!.toFixed(0);
		say(
			`${people === 1 ? 'one clerk posts' : `${people} clerks post`} and goes on: receipts/s; p50 / p99 of posting, ms`,
			`${rate.toFixed(1)}; ${at(0.5)} / ${at(0.99)}`
		);
	}
}

/** Posts receipts from a number on, each on account, and loads the pile anew after each. @returns what each post took */
async function oneClerk({ base, cookie }: Desk, first: number, count: number): Promise<number[]> {
	const waits: number[] = [];
	for (let receiptId = first; receiptId < first + count; receiptId++) {
		const body = new FormData();
		const order = { receiptId, receiptVersion: 1, customerId: receiptId, lines: [], date: null };
		body.set('json', JSON.stringify(order));
		body.set('key', crypto.randomUUID());
		const from = performance.now();
		const headers = { cookie, origin: base, 'x-sveltekit-action': 'true' };
		const told = await (await fetch(`${base}/money-in?/post`, { method: 'POST', body, headers })).text();
		waits.push(performance.now() - from);
		if (!told.includes('"success"')) throw new Error(`not posted: ${told.slice(0, 200)}`);
		await (await fetch(`${base}/money-in/__data.json`, { headers: { cookie } })).arrayBuffer();
	}
	return waits;
}
