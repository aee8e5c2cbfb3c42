import { createPrivateKey, generateKeyPairSync, type KeyObject } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ConfigError } from '../config';

/** What a setting that names the key must be. */
const WANTED = 'an Ed25519 private key in PEM, or the path of a file that holds one';

/**
 * The key that signs anchors (Ed25519, PKCS #8 PEM): the environment's own text or the file that it names, so that it can lie elsewhere;
 * else the one in the data folder, or null where none was made yet.
 * @throws ConfigError where what is named is no such key
 */
export function readAnchorKey(dataDir: string, given: string | null): KeyObject | null {
	if (given === null) {
		const own = ownPath(dataDir);
		return existsSync(own) ? createPrivateKey(readFileSync(own, 'utf8')) : null;
	}
	try {
		const key = createPrivateKey(given.includes('-----BEGIN') ? given : readFileSync(given, 'utf8'));
		if (key.asymmetricKeyType === 'ed25519') return key;
	} catch {
		// What it is instead may be secret: only what is wanted is said.
	}
	throw new ConfigError(`ANCHOR_KEY cannot be used: give ${WANTED}.`);
}

/** The same; where there is none, one is made in the data folder, readable by its owner only. */
export function anchorKey(dataDir: string, given: string | null): KeyObject {
	const known = readAnchorKey(dataDir, given);
	if (known) return known;
	const { privateKey } = generateKeyPairSync('ed25519');
	writeFileSync(ownPath(dataDir), privateKey.export({ format: 'pem', type: 'pkcs8' }), {
		...{ mode: 0o600, flag: 'wx' }
	});
	return privateKey;
}

function ownPath(dataDir: string): string {
	return join(dataDir, 'anchor-key.pem');
}
