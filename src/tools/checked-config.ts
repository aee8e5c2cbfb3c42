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
		return own;
	} catch (error) {
		if (!(error instanceof ConfigError)) throw error;
		console.error(error.message);
		process.exit(1);
	}
}
