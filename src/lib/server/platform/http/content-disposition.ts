import { cleanLine } from '../../../core/text/clean-text';

/**
 * A `Content-Disposition` header (RFC 6266) for a file of any name: in ASCII for everybody, and as it is for who reads RFC 8187.
 * @param how whether a browser shows the file or keeps it
 */
export function contentDisposition(how: 'inline' | 'attachment', name: string): string {
	const whole = cleanLine(name).replace(/[/\\]/g, '-');
	const ascii =
		whole
			.normalize('NFKD')
			.replace(/[^\x20-\x7E]/g, '')
			.replace(/["%]/g, '') || 'file';
	const extended = encodeURIComponent(whole).replace(
		/['()*]/g,
		(sign) => `%${sign.charCodeAt(0).toString(16).toUpperCase()}`
	);
	return `${how}; filename="${ascii}"; filename*=UTF-8''${extended}`;
}
