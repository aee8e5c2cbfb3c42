import { goto } from '$app/navigation';
import { tick } from 'svelte';
import { toast } from 'svelte-sonner';
import type { FileKind } from '../../core/model/file-kind';
import { FILE_KIND_ADVICE, FILE_KIND_WORDS } from '../../words';
import { lookAtFile } from './look-at-file';
import { whereFilesGo } from './where-files-go';

/** What a page takes, of files that are dropped on it, chosen on it, or led to it. */
export interface FileTaker {
	readonly kinds: readonly FileKind[];
	readonly take: (files: readonly File[], kind: FileKind) => void;
	/** Whoever only looks may use it: nothing goes into the books. */
	readonly anybody?: boolean;
}

/** Files that were led to a page which is not there yet. */
let inHand: { readonly kind: FileKind; readonly files: readonly File[] } | null = null;
let takers: readonly FileTaker[] = [];
const SAID_FOR = 15_000;

/**
 * Declares what a page takes; to be called while it is set up. Files that were led here are taken at once. A taker that is declared later
 * stands before those of before.
 */
export function takeFiles(taker: FileTaker): void {
	$effect(() => {
		takers = [taker, ...takers];
		if (inHand && taker.kinds.includes(inHand.kind)) {
			const { files, kind } = inHand;
			inHand = null;
			taker.take(files, kind);
		}
		return () => (takers = takers.filter((one) => one !== taker));
	});
}

/**
 * Brings files where they belong, by what they are: to this page where it takes them, else to the page that does, with the file in hand. One
 * that no page takes is said, and what to do with it.
 * @param mayAct false for whoever only looks
 */
export async function bringFiles(files: readonly File[], mayAct = true): Promise<void> {
	const byKind = new Map<FileKind, File[]>();
	for (const given of files) {
		const { kind, file } = await lookAtFile(given);
		byKind.set(kind, [...(byKind.get(kind) ?? []), file]);
	}
	for (const [kind, some] of byKind) {
		const here = takers.find((one) => one.kinds.includes(kind) && (mayAct || one.anybody));
		if (here) here.take(some, kind);
		else if (!mayAct) toast.error('Bringing files in takes a clerk.');
		else await lead(some, kind);
	}
}

async function lead(files: readonly File[], kind: FileKind): Promise<void> {
	const names = files.map((file) => file.name).join(', ');
	const page = whereFilesGo(kind);
	if (!page) {
		toast.error(`${names}: this is ${FILE_KIND_WORDS[kind]}. ${FILE_KIND_ADVICE[kind]}`, {
			duration: SAID_FOR
		});
		return;
	}
	inHand = { kind, files };
	toast(`${names} is ${FILE_KIND_WORDS[kind]}: it is taken to ${page.name}.`);
	await goto(page.href);
	await tick();
	// A page that could not take them does not take them another day.
	inHand = null;
}

/** Puts files into a field for files, as if they had been chosen there. */
export function putIntoField(field: HTMLInputElement, files: readonly File[]): void {
	const given = new DataTransfer();
	for (const file of field.multiple ? files : files.slice(0, 1)) given.items.add(file);
	field.files = given.files;
}
