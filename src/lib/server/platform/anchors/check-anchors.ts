import { isSigned } from './anchor';
import type { AnchorFile } from './anchor-files';

export interface AnchorFault {
	readonly name: string;
	readonly fault: 'signature' | 'cut-off' | 'made-anew';
}

/**
 * Compares anchors with a chain.
 * @param hashes of the seals: the first stands at index 0
 * @param publicKey of these books; null where any key will do
 */
export function checkAnchors(
	files: readonly AnchorFile[],
	hashes: readonly string[],
	publicKey: string | null
): AnchorFault[] {
	const faults: AnchorFault[] = [];
	for (const { name, anchor } of files) {
		if (!anchor || !isSigned(anchor) || (publicKey !== null && anchor.publicKey !== publicKey))
			faults.push({ name, fault: 'signature' });
		else if (anchor.seals > hashes.length) faults.push({ name, fault: 'cut-off' });
		else if (hashes[anchor.seals - 1] !== anchor.head || hashes[0] !== anchor.books)
			faults.push({ name, fault: 'made-anew' });
	}
	return faults;
}
