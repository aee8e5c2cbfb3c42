import { rmSync } from 'node:fs';
import { attackBooks } from './attack-books';
import { PARTS } from './parts';

/*
 * Attacks the application as somebody would who means it harm: with books and a data folder of its own, on this machine alone, bounded
 * in count and time. Says what it did in a line for each part; what got through is named, and the exit code tells.
 *
 *     npm run attack                  everything at full length
 *     npm run attack -- --short       all of it, in part
 *     npm run attack -- roles kills   these parts alone
 */
const short = process.argv.includes('--short');
const named = process.argv.slice(2).filter((word) => !word.startsWith('--'));
const unknown = named.filter((name) => !(name in PARTS));
if (unknown.length) {
	console.error(`There is no part ${unknown.join(', ')}. Parts: ${Object.keys(PARTS).join(', ')}.`);
	process.exit(2);
}
const folder = await attackBooks();
let faults = 0;
try {
	for (const [name, part] of Object.entries(PARTS)) {
		if (named.length && !named.includes(name)) continue;
		const began = Date.now();
		const { said, reached, wrong: seen } = await part(folder, short);
		const wrong = reached ? seen : [...seen, 'nothing of it reached the application'];
		console.log(`${name} (${((Date.now() - began) / 1000).toFixed(0)} s): ${said}; ${wrong.length} wrong`);
		for (const line of wrong.slice(0, 50)) console.log(`  WRONG: ${line}`);
		faults += wrong.length;
	}
} finally {
	rmSync(folder, { recursive: true, force: true });
}
console.log(faults ? `${faults} got through.` : 'Nothing got through.');
process.exit(faults ? 1 : 0);
