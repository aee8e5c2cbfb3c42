import { daysOf } from '../../core/9-interest/interest-of';
import type { LateSpan } from '../../core/model/late-span';
import type { Activity, InterestLine, Letter, LetterRow } from '../../core/7-letters/letter';
import type { Sheet, SheetBlock, SheetRow, SheetTable } from '../../core/7-letters/sheet';
import type { Worded, WordedBlock } from '../../core/7-letters/wording/fill-wording';
import { letterWordsOf } from './letter-words-of';
import type { LetterWords } from './letter-words';
import { wordsOfLetter } from './word-letter';
import { payBlock, sheetOf } from './sheet-of';

/** A letter as it is printed, in its own language. */
export function layOutLetter(letter: Letter): Sheet {
	const words = letterWordsOf(letter.language);
	const { statement, date } = letter;
	const says = wordsOfLetter(letter);
	const period =
		statement && statement.from
			? {
					name: words.facts.period,
					value: `${words.day(statement.from)} – ${words.day(statement.to)}`
				}
			: statement && statement.to !== date
				? { name: words.facts.asAt, value: words.day(statement.to) }
				: null;
	return {
		...sheetOf(words, {
			...{ firm: letter.firm, customer: letter.customer, day: date },
			...{ title: says.title, facts: [period] }
		}),
		blocks: blocksOf(words, letter, says)
	};
}

function blocksOf(words: LetterWords, letter: Letter, says: Worded): SheetBlock[] {
	const text = (one: string, soft = false): SheetBlock[] =>
		one.trim() === '' ? [] : [{ kind: 'text', text: one, soft }];
	const { corrects, record } = letter;
	const blockOf = (block: WordedBlock): SheetBlock[] => {
		switch (block.kind) {
			case 'items':
				return [
					...text(letter.note ?? ''),
					tableOf(words, letter),
					...letter.dated.flatMap((one) => text(words.dated(one, letter.currency), true))
				];
			case 'totals':
				return [agedFigures(words, letter)];
			case 'how-to-pay':
				return asksForMoney(letter)
					? [payBlock(words, letter.pay)]
					: text(letter.kind === 'statement' ? words.pay.nothing : '');
			default:
				return [{ kind: 'rich', block }];
		}
	};
	return [
		...text(says.greeting),
		...text(corrects ? words.corrected(corrects) : ''),
		...says.blocks.flatMap(blockOf),
		...signed(says),
		...text(record ? words.recorded(record) : '', true)
	];
}

/** Closing and sender, which stay together. */
function signed({ closing, sender }: Worded): SheetBlock[] {
	const text = [closing, sender].filter((part) => part.trim() !== '').join('\n\n');
	return text === '' ? [] : [{ kind: 'text', text, whole: true }];
}

/** Who owes nothing is not asked to pay. */
export const asksForMoney = (letter: Letter): boolean => letter.owed > 0;

function agedFigures(words: LetterWords, { aged, currency }: Letter): SheetBlock {
	return {
		kind: 'figures',
		name: words.aged,
		cells: aged.map((bucket) => ({ name: words.bucket(bucket), value: words.amount(bucket.sum, currency) }))
	};
}

function tableOf(words: LetterWords, letter: Letter): SheetTable {
	if (letter.interest) return interestTable(words, letter, letter.interest);
	return letter.activity ? activityTable(words, letter, letter.activity) : itemsTable(words, letter);
}

function sums(words: LetterWords, letter: Letter): SheetTable['sums'] {
	const { forward, brought } = words.carried;
	const value = words.money(Math.abs(letter.owed), letter.currency);
	return { forward, brought, name: words.sumName(letter), value };
}

function itemsTable(words: LetterWords, letter: Letter): SheetTable {
	const { currency } = letter;
	const { columns } = words;
	let carried = 0;
	const rows: SheetRow[] = [];
	for (const row of letter.rows) {
		carried += row.open;
		const sum = words.amount(carried, currency);
		rows.push(itemRow(words, row, currency, sum));
		for (const part of row.payments)
			rows.push({
				detail: true,
				carried: sum,
				cells: [
					{ text: words.partPayment(part), soft: true },
					...[{ text: '' }, { text: '' }, { text: '' }],
					{ text: words.amount(-part.amount, currency), soft: true },
					{ text: '' }
				]
			});
	}
	return {
		kind: 'table',
		columns: [
			{ name: columns.document, wide: true },
			{ name: columns.date },
			{ name: columns.due },
			{ name: columns.total(currency), figures: true },
			{ name: columns.paid(currency), figures: true },
			{ name: columns.open(currency), figures: true }
		],
		rows,
		sums: sums(words, letter)
	};
}

function itemRow(words: LetterWords, row: LetterRow, currency: string, carried: string): SheetRow {
	const paid = row.total - row.open;
	const isListed = row.payments.length > 0;
	return {
		carried,
		cells: [
			{ text: row.number || words.onAccount, strong: row.number !== '', after: words.rowText(row) },
			{ text: words.day(row.issued) },
			{ text: row.due ? words.day(row.due) : '', late: row.late > 0 ? words.daysLate(row.late) : '' },
			{ text: words.amount(row.total, currency) },
			{ text: paid === 0 || isListed ? '' : words.amount(-paid, currency), soft: true },
			{ text: words.amount(row.open, currency), strong: true }
		]
	};
}

/** Days on which something was late: those left out between are none. */
const daysOfLine = (line: InterestLine): number =>
	line.spans.length > 0 ? line.spans.reduce((days, span) => days + daysOf(span), 0) : daysOf(line);

/** What interest is for: a row for each item, and below it each change of what was late or of the rate. */
function interestTable(
	words: LetterWords,
	letter: Letter,
	lines: NonNullable<Letter['interest']>
): SheetTable {
	const { currency } = letter;
	const { columns, interest } = words;
	let carried = 0;
	const rows = lines.flatMap((line, n): SheetRow[] => {
		carried += line.amount;
		const sum = words.amount(carried, currency);
		if (line.kind === 'compensation' && lines[n - 1]?.number === line.number)
			return [
				{
					...{ detail: true, carried: sum },
					cells: [
						{ text: interest.compensation, soft: true },
						...Array.from({ length: 5 }, () => ({ text: '' })),
						{ text: words.amount(line.amount, currency), strong: true }
					]
				}
			];
		const [only, ...others] = line.spans;
		const single = others.length === 0 ? only : undefined;
		const spanCells = (span: LateSpan | undefined) => [
			{ text: span ? words.amount(span.open, currency) : '' },
			{ text: span ? words.percent(span.basisPoints) : '' }
		];
		const head: SheetRow = {
			carried: sum,
			cells: [
				{ text: line.number, strong: true, after: line.kind === 'interest' ? '' : interest[line.kind] },
				...(line.kind === 'compensation'
					? [{ text: '' }, { text: '' }, { text: '' }]
					: [
							{ text: words.day(line.from) },
							{ text: words.day(line.to) },
							{ text: String(daysOfLine(line)) }
						]),
				...spanCells(single),
				{ text: words.amount(line.amount, currency), strong: true }
			]
		};
		const details = single ? [] : line.spans;
		return [
			head,
			...details.map((span): SheetRow => ({
				...{ detail: true, carried: sum },
				cells: [
					{ text: '' },
					...[words.day(span.from), words.day(span.to), String(daysOf(span))].map((text) => ({
						text,
						soft: true
					})),
					...spanCells(span).map((cell) => ({ ...cell, soft: true })),
					{ text: '' }
				]
			}))
		];
	});
	const since = letter.owed - carried;
	if (since !== 0)
		rows.push({
			carried: words.amount(letter.owed, currency),
			cells: [
				{ text: interest.settled, soft: true },
				...Array.from({ length: 5 }, () => ({ text: '' })),
				{ text: words.amount(since, currency), soft: true }
			]
		});
	return {
		kind: 'table',
		columns: [
			{ name: columns.document, wide: true },
			...[{ name: interest.from }, { name: interest.to }],
			...[interest.days, interest.late(currency), interest.rate, interest.amount(currency)].map((name) => ({
				...{ name, figures: true }
			}))
		],
		rows,
		sums: sums(words, letter)
	};
}

function activityTable(words: LetterWords, letter: Letter, activity: Activity): SheetTable {
	const { currency, statement } = letter;
	const { columns } = words;
	let balance: number = activity.opening;
	const rows: SheetRow[] = [
		{
			carried: words.amount(balance, currency),
			cells: [
				{ text: statement?.from ? words.day(statement.from) : '' },
				{ text: words.broughtForward },
				{ text: '' },
				{ text: words.amount(balance, currency), strong: true }
			]
		}
	];
	for (const one of activity.movements) {
		balance += one.amount;
		const carried = words.amount(balance, currency);
		rows.push({
			carried,
			cells: [
				{ text: words.day(one.date) },
				{ text: [words.movement(one), one.reference].filter(Boolean).join(' '), after: one.text },
				{ text: words.amount(one.amount, currency) },
				{ text: carried, strong: true }
			]
		});
		if (statement?.kind === 'activity')
			for (const part of one.settles)
				rows.push({
					detail: true,
					carried,
					cells: [
						{ text: '' },
						{ text: words.settles(part.number), soft: true },
						{ text: words.amount(part.amount, currency), soft: true },
						{ text: '' }
					]
				});
	}
	return {
		kind: 'table',
		columns: [
			{ name: columns.date },
			{ name: columns.details, wide: true },
			{ name: columns.amount(currency), figures: true },
			{ name: columns.balance(currency), figures: true }
		],
		rows,
		sums: sums(words, letter)
	};
}
