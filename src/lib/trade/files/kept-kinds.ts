import type { FileKind } from '../../core/model/file-kind';

/** Files that belong to no page of their own: they are kept with whatever they are dropped on. */
export const KEPT_KINDS = [
	...(['picture', 'pdf', 'spreadsheet', 'old-spreadsheet', 'archive', 'unknown'] as const)
] as const satisfies readonly FileKind[];
