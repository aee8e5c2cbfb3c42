import type { z } from 'zod';
import type { Problem } from '../../core/problems';
import { err, ok, type Result } from '../../core/result';

/** Reads a form by its shape: plain fields, or one field `json`. Every field that does not fit is a problem of its own. */
export async function readForm<S extends z.ZodType>(
	request: Request,
	shape: S
): Promise<Result<z.output<S>> & { key?: string }> {
	const form = await request.formData();
	const key = form.get('key');
	const json = form.get('json');
	let raw: unknown;
	try {
		raw =
			typeof json === 'string'
				? JSON.parse(json)
				: Object.fromEntries([...form].filter(([, value]) => typeof value === 'string'));
	} catch {
		return err({
			code: 'field',
			field: 'json',
			message: 'The form arrived damaged. Load the page again; nothing was posted.'
		});
	}
	const read = shape.safeParse(raw);
	const extra = typeof key === 'string' && key ? { key } : {};
	if (read.success) return { ...ok(read.data), ...extra };
	const problems: Problem[] = read.error.issues.map((issue) => ({
		code: 'field',
		field: issue.path.join('.'),
		message: issue.message
	}));
	return err(...problems);
}
