import { config, ConfigError, type Config } from '../lib/server/platform/config';

/** The settings of this process; where they cannot be used, says so in a sentence for each and stops. */
export function checkedConfig(): Config {
	try {
		return config();
	} catch (error) {
		if (!(error instanceof ConfigError)) throw error;
		console.error(error.message);
		process.exit(1);
	}
}
