/** How large a file is: `12 kB`, `1.3 MB`. */
export function fileSize(bytes: number): string {
	return bytes < 1024 * 1024 ? `${Math.ceil(bytes / 1024)} kB` : `${(bytes / 1024 / 1024).toFixed(1)} MB`;
}
