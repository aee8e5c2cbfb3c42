import { createPrivateKey, generateKeyPairSync, type KeyObject } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * The key that signs anchors (Ed25519, PKCS #8 PEM): the environment's own text or the file that it names, so that it can lie elsewhere;
 * else one in the data folder, made once, readable by its owner only.
 * @throws Error where what is named is no such key
 */
export function anchorKey(dataDir: string, given: string | null): KeyObject {
	if (given !== null)
		return readKey(given.includes('-----BEGIN') ? given : readFileSync(given, 'utf8'), 'ANCHOR_KEY');
	const path = join(dataDir, 'anchor-key.pem');
	if (!existsSync(path)) {
		const { privateKey } = generateKeyPairSync('ed25519');
		writeFileSync(path, privateKey.export({ format: 'pem', type: 'pkcs8' }), { mode: 0o600, flag: 'wx' });
	}
	return readKey(readFileSync(path, 'utf8'), path);
}

function readKey(pem: string, from: string): KeyObject {
	const key = createPrivateKey(pem);
	if (key.asymmetricKeyType !== 'ed25519') throw new Error(`${from} is no Ed25519 key`);
	return key;
}
