/** A name, and what stands before and after "trading as" or "on behalf of" in it. */
export function partsOfName(name: string): string[] {
	const parts = name.split(/\bt\/a\b|\bt\.a\.|\btrading as\b|\bc\/o\b|\bo\/b\/o\b|\bon behalf of\b|^ta /i);
	return [...new Set([name, ...parts].map((part) => part.trim()).filter(Boolean))];
}
