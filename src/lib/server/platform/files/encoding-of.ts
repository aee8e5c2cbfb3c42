/** The encoding that an XML file's first bytes tell: byte-order mark, else the declaration, else UTF-8 (XML 1.0, appendix F). */
export function encodingOf(start: Uint8Array): string {
	if (start[0] === 0xff && start[1] === 0xfe) return 'utf-16le';
	if (start[0] === 0xfe && start[1] === 0xff) return 'utf-16be';
	if (start[0] === 0x3c && start[1] === 0) return 'utf-16le';
	if (start[0] === 0 && start[1] === 0x3c) return 'utf-16be';
	const declaration = Buffer.from(start.subarray(0, 200)).toString('latin1');
	return /^[^>]*\bencoding\s*=\s*["']([\w.-]+)["']/.exec(declaration)?.[1]?.toLowerCase() ?? 'utf-8';
}
