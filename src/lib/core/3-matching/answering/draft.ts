import type { Answer } from '../answer';

/** An answer before the file is looked at as a whole. */
export type Draft = Pick<
	Answer,
	'band' | 'customerId' | 'lines' | 'reasons' | 'others' | 'otherAnswers' | 'adviceId'
> &
	Partial<Pick<Answer, 'credits'>>;
