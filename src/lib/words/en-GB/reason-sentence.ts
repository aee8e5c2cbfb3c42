import { MOST_WAYS, type Reason } from '../../core/3-matching';
import { CLAIM_WORDS } from './claim-words';
import { count, list, money, percent, shortDay, whole } from './format';

const HOW = {
	letter: 'a letter for a digit',
	swapped: 'two digits swapped',
	digit: 'one digit wrong',
	length: 'a digit too few or too many'
} as const;

/** Says a reason in a sentence that a clerk would accept as proof. */
export function reasonSentence(reason: Reason): string {
	switch (reason.code) {
		case 'account-known':
			return `Account ending ${reason.account.slice(-4)} pays for ${reason.customer}.`;
		case 'name-known':
			return `“${reason.name}” is a name of ${reason.customer}.`;
		case 'account-taught':
			return reason.times === 1
				? `One payment from the account ending ${reason.account.slice(-4)} was allocated to ${reason.customer} before; that may have been wrong.`
				: `${reason.times} payments from the account ending ${reason.account.slice(-4)} were allocated to ${reason.customer}, and on nobody else.`;
		case 'name-taught':
			return reason.times === 1
				? `One payment of “${reason.name}” was allocated to ${reason.customer} before; that may have been wrong.`
				: `${reason.times} payments of “${reason.name}” were allocated to ${reason.customer}, and on nobody else.`;
		case 'words-taught':
			return `${reason.times} payments that said “${reason.words}” were allocated to ${reason.customer}, and on nobody else.`;
		case 'name-cut':
			return `Only the name of ${reason.customer} begins with “${reason.name}”, as the bank printed it.`;
		case 'name-near':
			return `“${reason.name}” is nearly a name of ${reason.customer}, and of nobody else.`;
		case 'earlier-money':
			return `Together with ${money(reason.amount, reason.currency)} ${reason.receipts === 1 ? `of ${shortDay(reason.booked)}` : `of ${reason.receipts} earlier payments`} that lies on account.`;
		case 'list-cut':
			return `The words were cut off. ${reason.sets === 1 ? 'Only' : `One of ${reason.sets} ways:`} ${list(reason.numbers)} ${reason.numbers.length === 1 ? 'comes' : 'come'} to the ${money(reason.amount, reason.currency)} that is left.`;
		case 'oldest-habit':
			return `They have paid the oldest every time there was a choice (${count(reason.times, 'payment')}).`;
		case 'statement-habit':
			return `They usually pay all that is due by a day: ${reason.times} of ${count(reason.of, 'payment')}.`;
		case 'fills-oldest':
			return `They usually pay sums of their own onto the oldest: ${reason.times} of ${count(reason.of, 'payment')}. So it goes on the oldest ${reason.items === 1 ? 'item' : `${reason.items} items`}.`;
		case 'late-discount-habit':
			return `They were allowed it up to ${count(reason.days, 'day')} late, ${reason.times} times.`;
		case 'charge-habit':
			return `Banks kept just ${money(reason.amount, reason.currency)} of ${reason.times} payments of ${reason.customer} before.`;
		case 'claim-said':
			return `“${reason.words}” says why less came: ${CLAIM_WORDS[reason.claim]}.`;
		case 'tax-said': {
			const of = reason.basisPoints ? `, ${percent(reason.basisPoints)} of it` : '';
			return reason.words
				? `“${reason.words}” says that tax was withheld: ${money(reason.amount, reason.currency)}${of}.`
				: reason.before
					? `The gap of ${money(reason.amount, reason.currency)}${of}, was withheld as tax at this rate before.`
					: `The gap of ${money(reason.amount, reason.currency)}${of}, is a rate at which tax is withheld abroad.`;
		}
		case 'digits-swapped':
			return `${reason.number} is open at ${money(reason.open, reason.currency)}: two digits of what came, ${money(reason.came, reason.currency)}, may be swapped.`;
		case 'says-part':
			return `“${reason.words}” says that it is a part of it; the rest stays owed.`;
		case 'round-sum':
			return `${money(reason.amount, reason.currency)} is a round sum: it may be meant on account.`;
		case 'name-shared':
			return `“${reason.name}” fits ${count(reason.customers, 'account')}, so it proves none of them.`;
		case 'payer-unknown':
			return reason.name
				? `Nobody in the books is called “${reason.name}”, and the account is new.`
				: 'The bank names no payer.';
		case 'payer-differs':
			return `The payer is ${reason.payer}, but what is named belongs to ${reason.customer}.`;
		case 'parent-pays':
			return `${reason.parent} may pay for ${reason.customer}.`;
		case 'number-named':
			return `“${reason.words}” names ${list(reason.numbers)}, open on ${reason.customer}.`;
		case 'reference-named':
			return `The payment reference ${reason.reference} belongs to ${list(reason.numbers)} of ${reason.customer}.`;
		case 'number-settled':
			return `${reason.number} is named too, but it is settled: is this paid twice?`;
		case 'numbers-of-several':
			return `The words name items of ${list(reason.customers)}.`;
		case 'adds-up':
			return reason.items === 1
				? `It is just what came: ${money(reason.amount, reason.currency)}.`
				: `The ${reason.items} come to ${money(reason.amount, reason.currency)}, to the penny.`;
		case 'short':
			return `That is ${money(reason.of, reason.currency)}: ${money(reason.by, reason.currency)} more than came.`;
		case 'long':
			return `That is ${money(reason.of, reason.currency)}: ${money(reason.by, reason.currency)} less than came.`;
		case 'discount-taken':
			return `The gap of ${money(reason.amount, reason.currency)} is the discount of ${percent(reason.basisPoints)}, offered until ${shortDay(reason.until)}.`;
		case 'charges-stated':
			return `The bank says that it kept ${money(reason.amount, reason.currency)}: just the gap.`;
		case 'charge-usual':
			return `The gap of ${money(reason.amount, reason.currency)} is a sum that banks on the way usually keep of a payment from abroad.`;
		case 'tariff-kept':
			return `${reason.payer} kept ${percent(reason.basisPoints)}${reason.fixed ? ` and ${money(reason.fixed, reason.currency)}` : ''} of ${reason.explains} payments here; that makes ${money(reason.amount, reason.currency)}, to the penny.`;
		case 'only-open-item':
			return `${reason.number} is all that ${reason.customer} has open.`;
		case 'only-set':
			return `No other ${reason.items === 1 ? 'item or set' : 'set'}${reason.all ? '' : ' of up to five'}, of ${count(reason.looked, 'open item')}, comes to this amount.`;
		case 'sets-found':
			return `${reason.all ? '' : 'At least '}${count(reason.sets, 'set')} of the ${count(reason.looked, 'open item')} come${reason.sets === 1 ? 's' : ''} to this amount, and the words name none.`;
		case 'all-until':
			return `It is all that ${reason.by === 'due' ? 'was due' : 'was issued'} up to ${shortDay(reason.day)}${reason.but ? ` but ${reason.but}` : ''}: ${count(reason.items, 'item')}.`;
		case 'all-open':
			return `It is all that is open: ${count(reason.items, 'item')}.`;
		case 'usual-rule':
			return `${reason.by} made it a rule that entries like this go to ${reason.account}.`;
		case 'usual-line':
			return `Entries like this were posted to ${reason.account} the last ${count(reason.times, 'time')}.`;
		case 'says-on-account':
			return 'The words say that it is on account.';
		case 'paid-twice':
			return `Another payment in this pile, of the same payer and sum, pays ${reason.number} already: this looks like the same one twice, and lies on account.`;
		case 'name-in-words':
			return `The words name ${reason.customer} (“${reason.words}”).`;
		case 'name-and-number':
			return `“${reason.name}” may be several, but what is named belongs to one of them: ${reason.customer}.`;
		case 'number-nearly':
			return `“${reason.words}” is ${reason.number} with ${HOW[reason.how]}, and that is open at just this sum.`;
		case 'credit-joins':
			return `Less the credit ${list(reason.numbers)} of ${money(reason.amount, reason.currency)}, which is open too.`;
		case 'oldest-of-equal':
			return `${reason.equal} open items have this amount; ${reason.number} is the oldest.`;
		case 'oldest-in-set':
			return `Items of equal amounts make ${reason.ways >= MOST_WAYS ? 'very many' : whole(reason.ways)} such sets of ${reason.items}; it has the oldest.`;
		case 'no-set':
			return `No set of the ${count(reason.items, 'open item')} comes to ${money(reason.amount, reason.currency)}.`;
		case 'named-in-other-currency':
			return `${reason.number} is named, but it is open in ${reason.of}, and ${reason.came} came: an exchange rate is needed.`;
		case 'nothing-open':
			return `${reason.customer} has nothing open in ${reason.currency}.`;
		case 'shared-fits':
			return reason.customers.length === 0
				? `None of them has anything open that comes to ${money(reason.amount, reason.currency)}.`
				: `${list(reason.customers)} have each something open that comes to ${money(reason.amount, reason.currency)}.`;
		case 'words-name-nothing':
			return reason.words
				? `There is no number, order or customer of ours in “${reason.words}”.`
				: 'It gives no number, order or name to go by.';
		case 'wanted-twice':
			return `Another receipt, surer or earlier, has ${reason.number} already.`;
		case 'payer-given':
			return `It was entered as a payment of ${reason.customer}.`;
		case 'recorded-before':
			return `This sum was recorded by hand on ${shortDay(reason.date)} (${reason.label}) and has not been seen at the bank yet. Match the two, so that it is not counted twice.`;
		case 'advice-kept':
			return `${reason.customer} announced ${money(reason.amount, reason.currency)} on ${shortDay(reason.date)} for ${count(reason.items, 'document')}${reason.whole ? '' : '; not every line of it is open'}.`;
		case 'not-yet':
			return 'It has just come in; its suggestion follows in a moment.';
		case 'same-sum-before':
			return `Just this sum came on ${shortDay(reason.booked)}${reason.numbers.length ? `, for ${list(reason.numbers.slice(0, 4))}` : ''}: is it the same payment twice?`;
		case 'file-unconfirmed':
			return `${reason.who} brought in ${reason.file} by hand, and nobody else has confirmed it yet.`;
		case 'statement-doubted':
			return `It came with statement ${reason.reference}, which does not go on from the one before.`;
		case 'money-out':
			return 'This is money that went out.';
		default:
			return reason satisfies never;
	}
}
