import { unzipSync } from 'fflate';
import { err, ok, type Result } from '../core/result';

/** How much an archive may hold: more is refused before any of it is unpacked. */
export interface UnpackLimits {
	readonly files: number;
	/** Of all files together, unpacked. */
	readonly bytes: number;
	/** How many times a file may be larger than it is packed. */
	readonly ratio: number;
}

/** Below this size a file may be packed as well as it can be. */
const SMALL = 1_000_000;

/**
 * Unpacks a ZIP archive (APPNOTE 6.3). What its directory says of sizes is held to: a file that turns out larger is cut off at its size,
 * so that memory is bounded by the limits.
 * @returns the files by name; `archive-too-large` beyond the limits, `archive-broken` for what is no archive or is encrypted
 */
export function unpack(
	archive: Uint8Array,
	limits: UnpackLimits
): Result<Readonly<Record<string, Uint8Array>>> {
	let [files, bytes, beyond] = [0, 0, false];
	const look = ({ size, originalSize }: { size: number; originalSize: number }) => {
		files++;
		bytes += originalSize;
		if (originalSize > SMALL && originalSize > size * limits.ratio) beyond = true;
		beyond ||= files > limits.files || bytes > limits.bytes;
		return false;
	};
	try {
		unzipSync(archive, { filter: look });
		if (beyond)
			return err({ code: 'archive-too-large', files, bytes, most: limits.files, mostBytes: limits.bytes });
		return ok(unzipSync(archive, { filter: ({ name }) => !name.endsWith('/') }));
	} catch {
		return err({ code: 'archive-broken' });
	}
}
