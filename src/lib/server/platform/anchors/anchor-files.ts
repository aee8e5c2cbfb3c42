import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { anchorShape, type Anchor } from './anchor';

/** An anchor that was read, or a file that holds none. */
export interface AnchorFile {
	readonly name: string;
	readonly anchor: Anchor | null;
}

/** Writes an anchor into a folder, in one step; the last head that was seen takes the place of the one before. */
export function writeAnchor(folder: string, anchor: Anchor): void {
	mkdirSync(folder, { recursive: true, mode: 0o700 });
	const name = anchor.reason === 'head' ? 'head.json' : `${anchor.day}-${anchor.reason}-${anchor.seals}.json`;
	const path = join(folder, name);
	writeFileSync(`${path}.part`, `${JSON.stringify(anchor, null, '\t')}\n`, { mode: 0o600 });
	renameSync(`${path}.part`, path);
}

/** All anchors that lie in a folder. */
export function readAnchors(folder: string): AnchorFile[] {
	if (!existsSync(folder)) return [];
	return readdirSync(folder)
		.filter((name) => name.endsWith('.json'))
		.sort()
		.map((name) => readAnchorFile(join(folder, name)));
}

/** One anchor from the file that somebody names. */
export function readAnchorFile(path: string): AnchorFile {
	const name = basename(path);
	try {
		return { name, anchor: anchorShape.parse(JSON.parse(readFileSync(path, 'utf8'))) };
	} catch {
		return { name, anchor: null };
	}
}
