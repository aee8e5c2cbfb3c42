import { learnNumberPatterns, shapeOf } from './number-patterns';
import { referenceKey } from '../../text/words-of-text';

/** What stands around the digits that run on in a series of document numbers, as reference keys; `length` of those digits. */
export interface NumberFrame {
	readonly before: string;
	readonly after: string;
	readonly length: number;
}

/** More frames than this are not kept: the commonest count. */
const FRAMES_KEPT = 24;

/** The frames of a firm's document numbers, the commonest first: "RE-2026-00071" and its like give RE2026, five digits, nothing. */
export function numberFrames(numbers: readonly string[]): NumberFrame[] {
	const patterns = learnNumberPatterns(numbers);
	const counts = new Map<string, { frame: NumberFrame; times: number }>();
	for (const number of numbers) {
		const runs = [...number.matchAll(/\d+/g)];
		const pattern = patterns.get(shapeOf(number));
		const run = runs[pattern?.run ?? runs.length - 1];
		if (!run) continue;
		const from = run.index + (pattern?.year ? 4 : 0);
		const to = run.index + run[0].length;
		const [before, after] = [referenceKey(number.slice(0, from)), referenceKey(number.slice(to))];
		const key = `${before} ${after} ${to - from}`;
		const known = counts.get(key);
		if (known) known.times++;
		else counts.set(key, { frame: { before, after, length: to - from }, times: 1 });
	}
	return [...counts]
		.sort(([a, one], [b, other]) => other.times - one.times || (a < b ? -1 : 1))
		.slice(0, FRAMES_KEPT)
		.map(([, { frame }]) => frame);
}

/** The reference keys of documents that digits may stand for, in any of these frames: as they are, or with zeros before them. */
export function keysInFrames(frames: readonly NumberFrame[], digits: string): string[] {
	const bare = digits.replace(/^0+/, '');
	const keys = frames.flatMap(({ before, after, length }) =>
		bare === '' || bare.length > length
			? []
			: [digits, bare, bare.padStart(length, '0')].map((run) => `${before}${run}${after}`)
	);
	return [...new Set(keys)];
}
