import { rmSync } from 'node:fs';
import { join } from 'node:path';

/** Where the files of forms lie until their request is answered. */
export function uploadsFolder(dataDir: string): string {
	return join(dataDir, 'uploads');
}

/** Takes away what a process left that was killed meanwhile. */
export function emptyUploads(dataDir: string): void {
	rmSync(uploadsFolder(dataDir), { recursive: true, force: true });
}
