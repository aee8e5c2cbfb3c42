import { expect, it } from 'vitest';
import { traceOf } from './trace-of';

it('names an error by class, code and place, and quotes nothing of what was worked on', () => {
	const database = Object.assign(new Error('SQLITE_CONSTRAINT: UNIQUE constraint failed: document.number'), {
		name: 'LibsqlError',
		code: 'SQLITE_CONSTRAINT_UNIQUE'
	});
	const error = new Error('Failed query: insert into document values (?, ?) params: Marlpit Foods,120050', {
		cause: database
	});
	const trace = traceOf(error);
	expect(trace).toMatchObject({
		error: 'Error',
		cause: { error: 'LibsqlError', code: 'SQLITE_CONSTRAINT_UNIQUE', database: database.message }
	});
	expect(trace.at[0]).toContain('trace-of.test.ts');
	expect(JSON.stringify(trace)).not.toMatch(/Marlpit|120050/);
});

it('keeps a message of several lines out of the places', () => {
	const error = new Error('Marlpit Foods\n  owes 1,200.50\n    at Marlpit Lane');
	expect(JSON.stringify(traceOf(error))).not.toMatch(/Marlpit|1,200/);
});

it('has a word for what is no error', () =>
	expect(traceOf('Marlpit Foods')).toEqual({ error: 'string', at: [] }));
