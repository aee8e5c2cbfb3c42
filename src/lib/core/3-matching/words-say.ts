import type { ClaimReason } from '../model/claim';
import { MOST_TEXT } from './words-of-text';

/** What the words of a payment say beside numbers, in the languages that a firm's customers write. */
export interface WordsSay {
	/** That it is money on account. */
	readonly onAccount: boolean;
	/** That it pays all up to now, or what a statement shows. */
	readonly upToDate: boolean;
	/** That it is a part of something, or that something was taken off. */
	readonly notWhole: boolean;
	/** The words that say that it is a part of what they name, or null. */
	readonly part: string | null;
	/** Why something was taken off, in the terms of a claim, or null. */
	readonly claim: { readonly reason: ClaimReason; readonly words: string } | null;
	/** The words that say that tax was withheld, or null. */
	readonly tax: string | null;
}

/** Letters that carry no accent to be taken off. */
const PLAIN: Readonly<Record<string, string>> = { ł: 'l', Ł: 'L', ø: 'o', Ø: 'O', ß: 'ss' };

/** A phrase of whole words, written here without accents; texts are read without them, too. */
const says = (phrases: string): RegExp => new RegExp(`(?<![a-z])(?:${phrases})(?![a-z])`, 'i');

const ON_ACCOUNT = says(
	'on account|payment on a/?c|a/c payment|on a/c|akonto(?:zahlung)?|a conto|acompte|acconto|anticipo|a cuenta|op rekening|vorauszahlung|vorkasse|anzahlung|a valoir|avance|aanbetaling|vooruitbetaling|voorschot|forskott|forskud|handpenning|handpeng|zaliczka|przedplata|na poczet|avans|sinal|adiantamento|caparra|ennakko(?:maksu)?|kasiraha|por conta|zaloha|zalohova platba|predem|forskudd|depositum|down ?payment|deposit|advance|in advance|prepayment|pre-?payment'
);
const UP_TO_DATE = says(
	'statement|stmt|acct? to date|account to date|to date|all (?:open|due|outstanding|invoices)|outstanding|balance|in full|kontoauszug|kontoausgleich|saldot?|salda|solde|releve|toutes (?:les )?factures|estado de cuenta|estratto conto|alle offenen|offene posten|openstaande?|rekeningoverzicht|kontoutdrag|kontoudtog|alla oppna|wszystkie|wyciag|tiliote|kaikki avoimet|extrato|conta corrente|todas as faturas|vypis|vsechny faktury|alle apne|alle abne|estratto|tutte le fatture'
);
const NOT_WHOLE = says(
	'less|minus|short|part|half|first|second|instal?ments?|deduct(?:ed|ion)?|credit|damaged?|broken|breakages?|missing|disc(?:ount)?|per agreement|retention|teil(?:zahlung)?|rate|abz(?:u|ue)?gl?(?:ich)?|skonto|gutschrift|partiel|acompte|moins|escompte|avoir|parcial|menos|descontado|parziale|meno|gedeeltelijk|termijn|minus|minder|korting|delbetalning|avdrag|rata|czesciow[ay]|korekt[ay]|korekcie|potracenie|osamaksu|osasuoritus|era|miinus|hyvitys(?:lasku)?|prestacao|parte|nota de credito|castecn[aey]|splatka|cast|dobropis[u]?|sleva|avoir|kreditnota'
);
const PART = says(
	'part(?:ial)? (?:payment|pymt|pmt|pay)|part of|(?:first|second|1st|2nd) half|half of|(?:first|second|third|1st|2nd|3rd|final)? ?instal?ments?|on a/c|on account(?: of)?|teilzahlung|teilbetrag|abschlag(?:szahlung)?|anzahlung|akonto(?:zahlung)?|\\d\\. rate|acompte|a valoir|(?:paiement|versement|reglement) partiel|(?:1er|2e|premier|second) versement|pago parcial|a cuenta|(?:primer|segundo) plazo|acconto|pagamento parziale|deelbetaling|(?:1e|2e|eerste|tweede) termijn|gedeelte|delbetalning|(?:forsta|andra) delen|delbetaling|zaplata czesciowa|czesciowa zaplata|i{1,3} rata|osamaksu|osasuoritus|\\d\\. era|pagamento parcial|\\d.? prestacao|parte da|castecna uhrada|\\d\\. splatka|rata \\d|\\d.? rata'
);
const TAX = says(
	'wht|w/h ?tax|withh(?:olding|eld)(?: tax)?|tds|tax (?:deducted|withheld)|quellensteuer|steuerabzug|retenue(?: a la source)?|ritenuta(?: d.?acconto)?|retencion|bronbelasting|irpf'
);
/** Why less was paid; the first that fits is meant, so what says only that is last. */
const CLAIMS: readonly (readonly [ClaimReason, RegExp])[] = [
	[
		'damaged',
		says(
			'damage[ds]?|broken|breakages?|defect(?:ive|s)?|faulty|beschadigt|beschaedigt|bruch|defekt|mangel|maengel|casse|endommagee?s?|rott[oi]|danneggiat[oi]|rotos?|roturas?|danad[oa]s?|beschadigd|schade|kapot|skad(?:a|at|ade|or)|trasig(?:t|a)?|odelagd|beskadiget|uszkodz(?:on[eyai]|onych|enia|enie)|stluczone|vioittunut|rikki|vaurio(?:itunut)?|quebras?|danificad[oa]s?|poskozen[eoy]|rozbit[eoy]|odelagt|skadet|guast[oi]'
		)
	],
	[
		'missing',
		says(
			'missing|short(?: ?del(?:iver(?:y|ed))?| ship(?:ped|ment)?| supplied)|shortage|not (?:received|delivered)|fehlt|fehlmenge|fehlend[e]?|manquante?s?|mancant[ei]|faltantes?|ontbrekend[e]?|te weinig geleverd|saknas|mangler|brak(?:i|uje)?|puuttuu|em falta|chybi|mancante'
		)
	],
	[
		'late',
		says(
			'late del(?:ivery)?|delayed?|verspatet|verspaetet|retard|ritardo|retraso|te laat|forsenad|forsinket|opoznienie'
		)
	],
	[
		'returned',
		says(
			'(?:goods )?returned|returns|retoure|ruecksendung|rucksendung|retournee?s?|reso|devolucion|retour|retur|zwrot'
		)
	],
	[
		'price',
		says(
			'pric(?:e|ing)(?: diff(?:erence)?)?|overcharged?|per agreement|as agreed|disc(?:ount)?|preis(?:differenz)?|nachlass|prix|remise|rabais|rabatt|prezzo|precio|descuento|prijs(?:verschil)?|korting|prisavvikelse|prisforskel|prisavslag|cena|upust|hinnanalennus|alennus|desconto|sleva|sconto'
		)
	],
	[
		'other',
		says(
			'less|minus|deduct(?:ed|ions?)|short paid|abzugl?(?:ich)?|abzgl|abzuegl(?:ich)?|moins|deduction|menos|meno|minder|minus|avdrag|fradrag|potracenie|pomniejszon[ea]|miinus|vahennetty'
		)
	]
];

/** Reads what the words say; a phrase may stand anywhere in them. */
export function wordsSay(text: string): WordsSay {
	const plain = text
		.slice(0, MOST_TEXT)
		.normalize('NFD')
		.replace(/\p{M}+/gu, '')
		.replace(/[łŁøØß]/g, (letter) => PLAIN[letter]!)
		.replace(/\s+/g, ' ');
	const claim = CLAIMS.map(([reason, pattern]) => ({ reason, words: pattern.exec(plain)?.[0] ?? '' })).find(
		({ words }) => words !== ''
	);
	return {
		onAccount: ON_ACCOUNT.test(plain),
		upToDate: UP_TO_DATE.test(plain),
		notWhole: NOT_WHOLE.test(plain) || claim !== undefined,
		part: PART.exec(plain)?.[0].trim() ?? null,
		claim: claim ?? null,
		tax: TAX.exec(plain)?.[0] ?? null
	};
}
