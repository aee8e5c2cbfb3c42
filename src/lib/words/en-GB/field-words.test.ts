import { expect, it } from 'vitest';
import { TABLE_FIELDS, type TableKind } from '../../core/1-columns/fields';
import { guessColumns } from '../../core/1-columns/guess-columns';
import { FIELD_NAMES } from './field-words';

it.each(Object.keys(TABLE_FIELDS) as TableKind[])('a template of %s is understood as it is', (kind) => {
	const keys = TABLE_FIELDS[kind].map(({ key }) => key);
	const columns = guessColumns(
		kind,
		keys.map((key) => FIELD_NAMES[key]),
		[]
	);
	expect(columns).toEqual(Object.fromEntries(keys.map((key, at) => [key, at])));
});
