/** A picture that letters can have, and how large it is, in points of the picture. */
export interface PictureSize {
	readonly type: 'image/png' | 'image/jpeg';
	readonly width: number;
	readonly height: number;
}

const PNG = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];

/**
 * What a picture is and how large, told by its first bytes and not by its name; null where it is neither PNG nor JPEG.
 * Sources: PNG (ISO/IEC 15948:2004) 5.2 and 11.2.2, JPEG (ITU-T T.81) B.2.2.
 */
export function pictureSize(bytes: Uint8Array): PictureSize | null {
	const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
	if (PNG.every((byte, at) => bytes[at] === byte)) {
		const isHeader = bytes.length >= 24 && view.getUint32(12) === 0x49484452;
		return isHeader ? { type: 'image/png', width: view.getUint32(16), height: view.getUint32(20) } : null;
	}
	if (bytes.length < 4 || view.getUint16(0) !== 0xffd8) return null;
	for (let at = 2; at + 9 <= bytes.length && bytes[at] === 0xff;) {
		const marker = bytes[at + 1]!;
		if (isFrame(marker))
			return { type: 'image/jpeg', height: view.getUint16(at + 5), width: view.getUint16(at + 7) };
		at += marker === 0xff ? 1 : 2 + view.getUint16(at + 2);
	}
	return null;
}

/** Start of a frame: C0 to CF, without the tables and markers that lie between (C4, C8, CC). */
const isFrame = (marker: number) =>
	marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc;
