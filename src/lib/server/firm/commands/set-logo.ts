import { createHash } from 'node:crypto';
import { z } from 'zod';
import { pictureSize } from '../../../core/picture/picture-size';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { readSetting, writeSetting } from '../store/settings';

/** So large may the picture be, in bytes: each letter has it. */
export const LOGO_BYTES = 200_000;
/** In points of the picture, each way: what is larger takes more memory to unpack than a letter is worth. */
const MOST_POINTS = 2_000;

const fault = (message: string) => new DomainError({ code: 'field', field: 'logo', message });

/** Sets the picture at the head of letters and documents, or takes it off. */
export const setLogo = defineAct({
	kind: 'set-logo',
	role: 'supervisor',
	input: z.object({ picture: z.instanceof(Buffer).nullable() }),
	run: async (ctx, { picture }): Promise<{ actId: number | null }> => {
		const firm = await readSetting(ctx.tx, 'firm');
		if (!firm) throw new DomainError({ code: 'not-found', what: 'firm' });
		const { logo: before, ...rest } = firm;
		const after = picture === null ? undefined : dataUrlOf(picture);
		if (before === after) return ctx.unchanged({ actId: null });
		await writeSetting(ctx.tx, 'firm', { ...rest, ...(after ? { logo: after } : {}) });
		const marks = { before: before ? markOf(before) : null, after: after ? markOf(after) : null };
		return { actId: await ctx.record({ summary: { isTakenOff: picture === null }, facts: marks }) };
	}
});

/** The picture as letters take it; refused where it is none, or too large. */
function dataUrlOf(picture: Buffer): string {
	if (picture.length > LOGO_BYTES)
		throw fault(`That is ${Math.ceil(picture.length / 1000)} kB; a logo may have ${LOGO_BYTES / 1000} kB.`);
	const size = pictureSize(picture);
	if (!size) throw fault('That is no PNG or JPEG. Save the picture as one of these.');
	const { type, width, height } = size;
	if (Math.min(width, height) < 1 || Math.max(width, height) > MOST_POINTS)
		throw fault(`That is ${width} by ${height} points; a logo may have ${MOST_POINTS} each way.`);
	return `data:${type};base64,${picture.toString('base64')}`;
}

const markOf = (logo: string) => createHash('sha256').update(logo).digest('hex').slice(0, 16);
