import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { pictureSize } from './picture-size';

const number = (value: number, bytes: number) =>
	Array.from({ length: bytes }, (_, i) => (value >>> (8 * (bytes - 1 - i))) & 255);
const png = (width: number, height: number) => [
	...[0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, ...number(13, 4), 0x49, 0x48, 0x44, 0x52],
	...[...number(width, 4), ...number(height, 4), 8, 6, 0, 0, 0]
];
const segment = (marker: number, content: readonly number[]) => [
	...[0xff, marker, ...number(content.length + 2, 2), ...content]
];
const frame = (marker: number, width: number, height: number) =>
	segment(marker, [8, ...number(height, 2), ...number(width, 2), 3, 0, 0, 0]);

describe('how large a picture is', () => {
	test('of a PNG, by its header', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 2 ** 31 - 1 }),
				fc.integer({ min: 1, max: 2 ** 31 - 1 }),
				(w, h) => {
					expect(pictureSize(Uint8Array.from(png(w, h)))).toEqual({ type: 'image/png', width: w, height: h });
				}
			)
		);
	});
	test('of a JPEG, by its frame, whatever stands before it', () => {
		const others = fc.array(
			fc
				.tuple(fc.constantFrom(0xe0, 0xe1, 0xdb, 0xc4, 0xfe), fc.array(fc.nat(255), { maxLength: 40 }))
				.map(([marker, content]) => segment(marker, content))
		);
		fc.assert(
			fc.property(others, fc.constantFrom(0xc0, 0xc1, 0xc2), (before, marker) => {
				const bytes = Uint8Array.from([0xff, 0xd8, ...before.flat(), ...frame(marker, 640, 200)]);
				expect(pictureSize(bytes)).toEqual({ type: 'image/jpeg', width: 640, height: 200 });
			})
		);
	});
	test('of anything else it is none, however it begins, and never fails', () => {
		const begins = fc.constantFrom([], [0xff, 0xd8], png(1, 1).slice(0, 12), [0x47, 0x49, 0x46, 0x38]);
		fc.assert(
			fc.property(begins, fc.uint8Array({ maxLength: 60 }), (first, rest) => {
				const found = pictureSize(Uint8Array.from([...first, ...rest]));
				expect(found === null || found.type === 'image/png' || found.type === 'image/jpeg').toBe(true);
			})
		);
		expect(pictureSize(Uint8Array.from(Buffer.from('<svg onload="x()"/>')))).toBeNull();
	});
});
