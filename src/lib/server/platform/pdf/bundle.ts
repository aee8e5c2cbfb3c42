import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { NodeCompiler } from '@myriaddreamin/typst-ts-node-compiler';
import template from './bundle.typ?raw';
import { plainFonts } from './letter-fonts';

/** Nothing lies there: what the template reads is handed over. */
const WORKSPACE = join(tmpdir(), 'odd-penny-bundle');

/**
 * PDFs as one file for the printer, in their order, as they are; in the margin of each sheet stands which letter it is of, so that a
 * folding machine, or a person, sees where one ends.
 */
export function bundle(papers: readonly Uint8Array[]): Buffer {
	const compiler = NodeCompiler.create({
		workspace: WORKSPACE,
		fontArgs: [{ fontBlobs: plainFonts().slice(0, 1) }]
	});
	const main = join(WORKSPACE, 'bundle.typ');
	compiler.mapShadow(main, Buffer.from(template));
	const told = papers.map((paper, n) => {
		compiler.mapShadow(join(WORKSPACE, `${n}.pdf`), Buffer.from(paper));
		return { path: `/${n}.pdf`, pages: pagesOf(paper), mark: `${n + 1} / ${papers.length}` };
	});
	return compiler.pdf(
		{ mainFilePath: main, inputs: { papers: JSON.stringify(told) } },
		{ pdfTags: false, creationTimestamp: 0 }
	);
}

/** How many pages a PDF of ours has: each is an object of its own that says so (ISO 32000-1, 7.7.3.3). */
export function pagesOf(pdf: Uint8Array): number {
	return (
		Buffer.from(pdf)
			.toString('latin1')
			.match(/\/Type\s*\/Page(?![A-Za-z])/g)?.length ?? 0
	);
}
