import type { RequestEvent } from '@sveltejs/kit';
import { z } from 'zod';
import type { Problem } from '../../../core/problems';
import { config } from '../config';
import { uploadsFolder } from '../files/uploads-folder';
import { DamagedForm, readMultipart } from './read-multipart';
import type { ActKind } from '../../../core/model/act-facts';
import { TWO_PERSON_ACTS } from '../../../core/model/approval';
import { err, ok, type Result } from '../../../core/result';
import { cleanLine, cleanTexts } from '../../../core/text/clean-text';
import type { Act, CallContext } from '../../act/define-act';
import { fieldProblems, perform, performedBefore } from '../../act/perform';
import { requireRole } from '../../act/person';
import { isUndoable } from '../../act/undoable';
import { DomainError } from '../../act/domain-error';
import { isTooDeep } from './is-too-deep';
import { refuse } from './refuse';

/** Larger forms are refused unread, in bytes; an action that takes files says its own bound. */
const FORM_BYTES = 1_000_000;

/** What an act gave, for the form that sent it. */
export interface Answered<Output> {
	readonly output: Output;
	/** The act by which it can be undone; null where it cannot. */
	readonly undo: number | null;
}

export interface ActionOptions<Given, Output> {
	/** Makes of the fields what the act is given; where it is left out, they are just that. */
	readonly prepare?: (
		fields: unknown,
		form: FormData,
		event: RequestEvent,
		ctx: CallContext
	) => Result<Given> | Promise<Result<Given>>;
	/** What follows when it is done: a redirect, a letter sent on its way. */
	readonly then?: (output: Output, event: RequestEvent) => void | Promise<void>;
	/** Whether the password is asked for again before it is done; it is for what takes two people. */
	readonly confirm?: (fields: unknown, event: RequestEvent) => boolean | Promise<boolean>;
	/** Fields that are in nothing that is kept, not even as part of a digest: passwords. */
	readonly secret?: readonly string[];
	/** The most bytes that the form may have. */
	readonly most?: number;
}

/**
 * An act as an action of a page: the role is checked before anything is read, then size and shape; what the act refuses is
 * the form's failure, with each field's problem by its name.
 */
export function action<K extends ActKind, Given, Input, Output>(
	act: Act<K, Given, Input, Output>,
	options: ActionOptions<Given, Output> = {}
) {
	return async (event: RequestEvent) => {
		const read = await readFields(event, act.role, options.most);
		if (!read.ok) return refuse(read.problems);
		const { app, who } = event.locals;
		const { fields, form, key } = read.value;
		// What has not the act's shape is refused by it, and is looked up nowhere before.
		const asksAgain = options.confirm
			? act.input.safeParse(fields).success && (await options.confirm(fields, event))
			: takesTwoPeople(act.kind);
		if (asksAgain && !app.confirmations.has(event.locals.sessionId ?? '', Date.now()))
			return refuse([{ code: 'confirm-yourself' }]);
		const sent = options.secret ? without(fields, options.secret) : fields;
		const ctx = await app.context(who!, key, options.prepare && !hasFiles(form) ? sent : undefined);
		const before = await performedBefore(app.books, act, ctx);
		const given: Result<Given | null> = before
			? ok(null)
			: options.prepare
				? await options.prepare(fields, form, event, ctx)
				: ok(fields as Given);
		if (!given.ok) return refuse(given.problems);
		const result = before ?? (await perform(app.books, act, given.value as Given, ctx));
		if (!result.ok) return refuse(result.problems);
		await options.then?.(result.value, event);
		return answered(act, result.value);
	};
}

function takesTwoPeople(kind: ActKind): boolean {
	return (TWO_PERSON_ACTS as readonly ActKind[]).includes(kind);
}

function answered<K extends ActKind, Given, Input, Output>(
	act: Act<K, Given, Input, Output>,
	output: Output
): Answered<Output> {
	return { output, undo: wayBack(act.kind, output) };
}

function without(fields: unknown, secret: readonly string[]): unknown {
	if (typeof fields !== 'object' || fields === null) return fields;
	return Object.fromEntries(Object.entries(fields).filter(([name]) => !secret.includes(name)));
}

function hasFiles(form: FormData): boolean {
	return [...form.values()].some((value) => typeof value !== 'string');
}

/** An action that only shows what an act would do; the same checks go before it. */
export function preview<Output extends Record<string, unknown>>(
	role: CallContext['who']['role'],
	show: (fields: unknown, form: FormData, event: RequestEvent) => Promise<Result<Output>>,
	most?: number
) {
	return async (event: RequestEvent) => {
		const read = await readFields(event, role, most);
		if (!read.ok) return refuse(read.problems);
		const result = await show(read.value.fields, read.value.form, event);
		return result.ok ? result.value : refuse(result.problems);
	};
}

/** Fields as a shape has them, or every problem of any. */
export function shaped<S extends z.ZodType>(shape: S, fields: unknown): Result<z.output<S>> {
	const read = shape.safeParse(fields);
	return read.success ? ok(read.data) : err(...fieldProblems(read.error.issues));
}

/** A form's fields (the JSON of its field `json`, or its plain ones) and its key, once the person may send it. */
export async function readFields(
	{ request, locals }: RequestEvent,
	role: CallContext['who']['role'],
	most = FORM_BYTES
): Promise<Result<{ readonly fields: unknown; readonly form: FormData; readonly key: string | undefined }>> {
	try {
		requireRole(locals.who!, role);
	} catch (error) {
		if (!(error instanceof DomainError)) throw error;
		locals.refused = true;
		return err(...error.problems);
	}
	const bytes = Number(request.headers.get('content-length') ?? 0);
	if (bytes > most) return err({ code: 'file-too-large', bytes, most });
	const form = await readForm(request, locals, most);
	if (form === null) return err(DAMAGED);
	const key = shaped(z.string().max(100).transform(cleanLine).optional(), form.get('key') || undefined);
	if (!key.ok) return key;
	const json = form.get('json');
	try {
		const given: unknown =
			typeof json === 'string'
				? JSON.parse(json)
				: Object.fromEntries(
						[...form].filter(([name, value]) => name !== 'key' && typeof value === 'string')
					);
		if (isTooDeep(given)) return err(DAMAGED);
		return ok({ fields: cleanTexts(given), form, key: key.value });
	} catch {
		return err(DAMAGED);
	}
}

const DAMAGED: Problem = {
	...{ code: 'field', field: 'json' },
	message: 'The form arrived damaged. Load the page again; nothing was posted.'
};

/** A form as it comes in, its files on disk until the request is answered; null where it is damaged. */
async function readForm(request: Request, locals: App.Locals, most: number): Promise<FormData | null> {
	const type = request.headers.get('content-type') ?? '';
	try {
		if (!/^multipart\/form-data/i.test(type)) return await request.formData();
		locals.form = await readMultipart(request, uploadsFolder(config().dataDir), most);
		return locals.form;
	} catch (error) {
		if (error instanceof DamagedForm || error instanceof TypeError) return null;
		throw error;
	}
}

/** The act by which something can be undone, where it can. */
export function wayBack(kind: ActKind, output: unknown): number | null {
	const id = (output as { readonly actId?: unknown } | null)?.actId;
	return typeof id === 'number' && isUndoable(kind) ? id : null;
}
