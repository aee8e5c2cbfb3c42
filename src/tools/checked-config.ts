import { chmodSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { readAnchorKey } from '../lib/server/platform/anchors/anchor-key';
import { config, ConfigError, type Config } from '../lib/server/platform/config';

/**
 * The settings of this process; where they cannot be used, says so in a sentence for each and stops. From then on what the process
 * writes is for its owner alone: books, letters and keys are nobody else's on a shared machine.
 */
export function checkedConfig(): Config {
	process.umask(0o077);
	try {
		const own = config();
		readAnchorKey(own.dataDir, own.anchorKey);
		closeToOthers(own.dataDir);
		return own;
	} catch (error) {
		if (!(error instanceof ConfigError)) throw error;
		console.error(error.message);
		process.exit(1);
	}
}

/** What holds the books and their keys. The folder itself stays as it is: another account may put bank files into its inbox. */
const OWN_FILES = [
	...['odd-penny.db', 'odd-penny.db-wal', 'odd-penny.db-shm', 'secret', 'anchor-key.pem'],
	...['odd-penny-papers.db', 'odd-penny-papers.db-wal', 'odd-penny-papers.db-shm']
];

/** Files from before that others could read are closed to them; one that belongs to somebody else is left to them. */
function closeToOthers(folder: string): void {
	for (const name of OWN_FILES) {
		const path = join(folder, name);
		const found = statSync(path, { throwIfNoEntry: false });
		if (found && (found.mode & 0o077) !== 0 && found.uid === process.getuid?.()) chmodSync(path, 0o600);
	}
}
