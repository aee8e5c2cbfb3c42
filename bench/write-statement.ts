import { createWriteStream } from 'node:fs';
import { once } from 'node:events';
import { camtXml, type XmlEntry } from '../src/demo/camt-xml';
import { STERLING } from '../src/demo/firm';

/** Writes a bank statement of made-up entries to a file. */
export async function writeStatement(
	to: string,
	count: number,
	make: (i: number) => { text: string; account: string; amount?: number }
): Promise<void> {
	const entries = Array.from({ length: count }, (_, i): XmlEntry => {
		const { text, account, amount = 1000 + ((i * 7919) % 400_000) } = make(i);
		return {
			amount,
			booked: '2026-10-30',
			reference: `R${i}`,
			details: [{ amount, name: `PAYER NUMBER ${i}`, account, text }]
		};
	});
	const out = createWriteStream(to);
	for (const piece of camtXml(
		[
			{
				reference: 'B1',
				sequence: 1,
				account: STERLING,
				currency: 'GBP',
				opening: 0,
				openingOn: '2026-10-29',
				closingOn: '2026-10-30',
				entries
			}
		],
		'B'
	))
		if (!out.write(piece)) await once(out, 'drain');
	out.end();
	await once(out, 'finish');
}
