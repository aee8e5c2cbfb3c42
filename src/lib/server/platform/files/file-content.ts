import { createReadStream } from 'node:fs';
import { readFile, stat } from 'node:fs/promises';
import { FileOnDisk } from './file-on-disk';

/** What is in a file, as it crosses threads: where it lies, or its bytes. */
export type FileContent = Uint8Array | { readonly path: string };

/** What is in a file of a form, unread where it lies on disk. */
export async function contentOf(file: File): Promise<FileContent> {
	return file instanceof FileOnDisk ? { path: file.path } : new Uint8Array(await file.arrayBuffer());
}

/** All of it. */
export async function readContent(content: FileContent): Promise<Uint8Array> {
	return content instanceof Uint8Array ? content : readFile(content.path);
}

/** How many bytes it has. */
export async function sizeOfContent(content: FileContent): Promise<number> {
	return content instanceof Uint8Array ? content.length : (await stat(content.path)).size;
}

/** The same in parts, one after another. */
export function partsOfContent(content: FileContent): Iterable<Uint8Array> | AsyncIterable<Uint8Array> {
	return content instanceof Uint8Array ? [content] : createReadStream(content.path);
}
