import { encode } from 'uqr';

/** A text as a picture for cameras (ISO/IEC 18004), as SVG; level M, as payment codes ask for. */
export function qrPicture(text: string): string {
	const { data, size } = encode(text, { border: 4, ecc: 'M' });
	const dark = data.flatMap((row, y) => row.flatMap((on, x) => (on ? [`M${x} ${y}h1v1h-1z`] : [])));
	return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${size} ${size}" shape-rendering="crispEdges"><rect width="${size}" height="${size}" fill="#fff"/><path d="${dark.join('')}" fill="#000"/></svg>`;
}
