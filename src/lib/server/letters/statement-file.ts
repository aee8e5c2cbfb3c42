import type { Letter } from '../../core/7-letters/letter';
import { statementUbl } from '../../core/7-letters/statement-ubl';
import type { StatementFile } from '../../core/model/customer-details';
import { statementTable } from '../../words/letters';
import { csvText } from '../platform/http/csv-response';
import { fileName, type AttachedFile } from './compose-mail';

/** The lines of a statement as a file that goes along with it. */
export function statementFile(letter: Letter, as: StatementFile): AttachedFile {
	const name = fileName(`statement-${letter.customer.code}-${letter.date}`);
	if (as === 'ubl') {
		const id = `${letter.customer.code}-${letter.currency}-${letter.statement?.to ?? letter.date}`;
		return {
			...{ name: `${name}.xml`, contentType: 'application/xml' },
			content: Buffer.from(statementUbl(letter, id), 'utf8')
		};
	}
	const { headings, rows } = statementTable(letter);
	return {
		...{ name: `${name}.csv`, contentType: 'text/csv; charset=utf-8' },
		content: Buffer.from(`\ufeff${csvText(headings, rows)}\r\n`, 'utf8')
	};
}
