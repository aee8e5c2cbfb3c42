import { TEXT_FORMATS } from '../src/lib/core/1-bank-files/read-statement';
import { fuzzBankFiles } from './bank-files';
import { samplesOf } from './samples';

/** More than this for one damaged file of at most 60,000 signs, in milliseconds, is a hang to be. */
const LONGEST = 2_000;

// npm run fuzz -- [inputs of each format] [seed]
const [inputs = 1_000_000, seed = 1] = process.argv.slice(2).map(Number);
for (const format of TEXT_FORMATS) {
	const before = Date.now();
	const { read, refused, slowest } = fuzzBankFiles(samplesOf(format), inputs, seed);
	console.log(
		`${format}: ${inputs} damaged files in ${Math.round((Date.now() - before) / 1000)} s, ${read} read and ${refused} refused; the longest took ${Math.round(slowest)} ms`
	);
	if (slowest > LONGEST) {
		console.error(`${format}: one file took longer than ${LONGEST} ms`);
		process.exitCode = 1;
	}
}
