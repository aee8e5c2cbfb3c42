import { eq } from 'drizzle-orm';
import { bookDay, clock, openOwnBooks, sessionSecret } from '../lib/server/app';
import { perform } from '../lib/server/act/perform';
import { APPLICATION } from '../lib/server/act/person';
import { makeSignInCode } from '../lib/server/people/commands/make-sign-in-code';
import { takeOffSecondFactors } from '../lib/server/people/commands/take-off-second-factors';
import { codeText } from '../lib/server/people/code-text';
import { user } from '../lib/server/platform/db/schema';
import { problemSentence } from '../lib/words';
import { checkedConfig } from './checked-config';

/**
 * Makes a code by which a person sets a password: for a firm whose only supervisor forgot theirs. With `--second-step-off` it takes their
 * second factors off, too. Both stand in the record.
 */
const words = process.argv.slice(2);
const email = words.find((word) => !word.startsWith('--'))?.toLowerCase();
if (!email) {
	console.error('For whom? npm run sign-in-code -- ADDRESS');
	process.exit(2);
}
checkedConfig();
const books = await openOwnBooks();
const person = await books.db.select({ id: user.id }).from(user).where(eq(user.email, email)).get();
if (!person) {
	console.error(`Nobody signs in as ${email}.`);
	process.exitCode = 1;
} else {
	const at = { who: APPLICATION, today: await bookDay(books), now: clock };
	if (words.includes('--second-step-off')) {
		const off = await perform(books, takeOffSecondFactors, { id: person.id }, at);
		console.log(off.ok ? 'The second step is off.' : off.problems.map(problemSentence).join('\n'));
	}
	const made = await perform(books, makeSignInCode, { id: person.id }, at);
	if (made.ok && 'codeId' in made.value)
		console.log(
			`The code is ${codeText(sessionSecret(), 'sign-in code', { id: made.value.codeId, userId: person.id })}. It is valid for a week and for one time, at /set-password.`
		);
	else {
		console.error(made.ok ? 'Another supervisor was asked.' : made.problems.map(problemSentence).join('\n'));
		process.exitCode = 1;
	}
}
await books.close();
