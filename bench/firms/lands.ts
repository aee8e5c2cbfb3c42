/** How firms of one land are called, and how their people write of money. All of it is made up. */
export interface Land {
	readonly currency: string;
	readonly iban: string;
	readonly places: readonly string[];
	readonly trades: readonly string[];
	readonly forms: readonly string[];
	readonly persons: readonly string[];
	/** Words before a number. */
	readonly before: readonly string[];
	/** Words that name nothing. */
	readonly silent: readonly string[];
	readonly onAccount: readonly string[];
	readonly part: readonly string[];
	readonly taken: readonly string[];
	readonly statement: readonly string[];
	readonly monthly: readonly string[];
	readonly lessCredit: readonly string[];
	/** Who pays what is nobody's, and what they write. */
	readonly others: readonly (readonly [string, string])[];
}

const list = (text: string): string[] => text.split(',');

export const LANDS: readonly Land[] = [
	{
		...{ currency: 'GBP', iban: 'GB' },
		places: list(
			'Ashby,Corfe,Dunster,Eskdale,Hartwell,Ilminster,Jarrow,Kelso,Ludwell,Malham,Nayland,Oakham,Purbeck,Rookhope,Selworthy,Tolland,Upwey,Wadebridge,St Erth,Mc Allen'
		),
		trades: list(
			'Joinery,Road Nursery,Village Hall,Timber,Bakers,Academy,High School,Parish Council,Tool Hire,Garden Centre,Fabrications,Dental Practice'
		),
		forms: ['Ltd', 'Limited', 'LLP', 'CIC', 'PLC', '', ''],
		persons: ['MRS P HARGAN', 'MR T OYELARAN', 'DR S WREN', 'J & K PELL'],
		before: ['inv', 'Invoice', 'INV NO', 'our ref', 'yr invoice', 'Invs', 'payment of', 'ref.'],
		silent: ['', 'FASTER PAYMENT', 'thanks', 'BACS', 'invoice', 'YOUR ACCOUNT', 'goods', 'bill payment'],
		onAccount: ['on account', 'A/C PAYMENT', 'payment on account', 'deposit'],
		part: ['part payment', 'part pymt', '1st instalment', 'half of'],
		taken: ['less damages', 'short delivered', 'less broken', 'price diff', 'less shortage'],
		statement: ['statement', 'a/c to date', 'balance of account', 'all outstanding'],
		monthly: ['standing order', 'monthly'],
		lessCredit: ['less credit', 'less c/n', 'net of credit note'],
		others: [
			['REVENUE OFFICE', 'VAT REPAYMENT'],
			['COMPANY CARD', 'REFUND 4471'],
			['CROWTHER INSURANCE', 'claim 88120'],
			['INTEREST', 'GROSS INTEREST']
		]
	},
	{
		...{ currency: 'EUR', iban: 'DE' },
		places: list(
			'Grünwald,Höfen,Königsau,Lüdern,Mühltal,Nördach,Oberzell,Pfäffing,Rötz,Schöntal,Tännich,Überlar,Wörsdorf,Zülp,Ährenfeld,Straßach'
		),
		trades: list(
			'Bäckerei,Tischlerei,Gärtnerei,Grundschule,Maschinenbau,Elektro,Fliesen,Metallbau,Bürobedarf,Gasthaus,Stadtwerke'
		),
		forms: ['GmbH', 'GmbH & Co. KG', 'AG', 'e.K.', 'KG', 'OHG', 'e.V.', 'UG (haftungsbeschränkt)', ''],
		persons: ['Herr Lenz Uhlmann', 'KARIN BRANDL', 'Dr. Ines Pohl'],
		before: ['Rechnung', 'RG', 'Rg.-Nr.', 'Re.', 'RECHNUNGSNUMMER', 'SVWZ+RE', 'zu Rechnung', 'Beleg'],
		silent: ['', 'Überweisung', 'SEPA-Gutschrift', 'Vielen Dank', 'Zahlung', 'Rechnung', 'Lieferung'],
		onAccount: ['Akontozahlung', 'a conto', 'Anzahlung', 'Vorauszahlung'],
		part: ['Teilzahlung', 'Abschlag', '1. Rate', 'Teilbetrag'],
		taken: ['abzgl. Bruch', 'abzüglich Mangel', 'Fehlmenge', 'abzgl. beschädigt', 'Preisdifferenz'],
		statement: ['Kontoauszug', 'alle offenen Posten', 'Kontoausgleich', 'Saldo'],
		monthly: ['Dauerauftrag', 'monatlich'],
		lessCredit: ['abzgl. Gutschrift', 'verrechnet mit Gutschrift', 'minus GS'],
		others: [
			['FINANZAMT', 'ERSTATTUNG UST 2026'],
			['Versicherung Nord', 'Schaden 77120'],
			['ZINSEN', 'Habenzinsen Q3']
		]
	},
	{
		...{ currency: 'EUR', iban: 'FR' },
		places: list(
			'Bézac,Châtelin,Dôlieu,Évrac,Fontgrande,Guérande,Hérissac,Lançon,Mérieux,Nérac,Orléval,Pontivé,Saint-Avé,Vézins'
		),
		trades: list(
			'Boulangerie,Menuiserie,Collège,Jardinerie,Quincaillerie,Garage,Imprimerie,Hôtel,Mairie,Électricité,Pharmacie'
		),
		forms: ['SARL', 'SAS', 'S.A.R.L.', 'SA', 'EURL', 'SCI', '', 'et Fils'],
		persons: ['M OU MME ROUVIER', 'MME CLAIRE AUBRAC', 'M. PAUL TESSIER'],
		before: ['facture', 'FACT', 'règlement facture', 'fact. n°', 'réf', 'FACTURES', 'fac'],
		silent: ['', 'virement', 'VIR SEPA', 'merci', 'règlement', 'facture'],
		onAccount: ['acompte', 'à valoir', 'avance'],
		part: ['paiement partiel', 'acompte sur', '1er versement', 'versement partiel'],
		taken: ['moins casse', 'manquant', 'déduction marchandise endommagée', 'remise convenue'],
		statement: ['relevé', 'solde', 'solde de compte', 'toutes factures'],
		monthly: ['virement permanent', 'mensualité'],
		lessCredit: ['moins avoir', 'avoir déduit'],
		others: [
			['TRESOR PUBLIC', 'REMBOURSEMENT TVA'],
			['ASSURANCE DU LAC', 'SINISTRE 33810'],
			['INTERETS', 'intérêts créditeurs']
		]
	},
	{
		...{ currency: 'EUR', iban: 'NL' },
		places: list(
			'Achterveld,Boskerk,Duinzicht,Eemhuizen,Geldrop,Hoogwoud,IJsselmond,Kruiswijk,Lisserdam,Meerhout,Oosterbeem,Zandwijk'
		),
		trades: list(
			'Bakkerij,Timmerwerken,Kwekerij,Basisschool,Installaties,Drukkerij,Transport,Zuivel,Gemeente,Bouw'
		),
		forms: ['B.V.', 'BV', 'NV', 'VOF', 'Stichting', 'en Zonen', ''],
		persons: ['Hr J de Wit', 'MEVR A VAN DER LAAN', 'K BOS EO'],
		before: ['factuur', 'fact.nr', 'betreft', 'Factuurnummer', 'uw factuur', 'kenmerk'],
		silent: ['', 'betaling', 'overboeking', 'dank u wel', 'SEPA overboeking', 'factuur'],
		onAccount: ['aanbetaling', 'vooruitbetaling', 'voorschot'],
		part: ['deelbetaling', '1e termijn', 'gedeelte van'],
		taken: ['minus schade', 'beschadigd', 'korting zoals afgesproken', 'te weinig geleverd'],
		statement: ['openstaande posten', 'saldo', 'rekeningoverzicht'],
		monthly: ['maandelijks', 'periodieke overboeking'],
		lessCredit: ['minus creditnota', 'verrekend met credit'],
		others: [
			['BELASTINGDIENST', 'TERUGGAAF BTW'],
			['ZEEKANT VERZEKERING', 'schade 55120'],
			['RENTE', 'creditrente']
		]
	},
	{
		...{ currency: 'EUR', iban: 'ES' },
		places: list(
			'Alcañuela,Burguillos,Cañavera,Dueñas,Écijar,Fuentemar,Güéjara,Huéscal,Jadraque,Logrosán,Muñera,Peñalba'
		),
		trades: list(
			'Panadería,Carpintería,Colegio,Viveros,Ferretería,Talleres,Imprenta,Cerámicas,Construcciones,Ayuntamiento'
		),
		forms: ['S.L.', 'SL', 'S.A.', 'SLU', 'S. Coop.', 'e Hijos', ''],
		persons: ['D JOSE ARANDA', 'MARIA LUZ PEÑA', 'SRA. VEGA'],
		before: ['factura', 'fra', 'Fra. núm.', 'pago factura', 'FACTURAS', 'ref'],
		silent: ['', 'transferencia', 'TRANSF', 'gracias', 'pago', 'abono'],
		onAccount: ['a cuenta', 'anticipo', 'entrega a cuenta'],
		part: ['pago parcial', 'a cuenta de', 'primer plazo'],
		taken: ['menos roturas', 'descuento acordado', 'faltantes', 'mercancía dañada'],
		statement: ['estado de cuenta', 'saldo pendiente', 'saldo'],
		monthly: ['mensualidad', 'orden permanente'],
		lessCredit: ['menos abono', 'descontado abono'],
		others: [
			['AGENCIA TRIBUTARIA', 'DEVOLUCION IVA'],
			['SEGUROS DEL VALLE', 'siniestro 90112'],
			['INTERESES', 'liquidación intereses']
		]
	},
	{
		...{ currency: 'SEK', iban: 'SE' },
		places: list(
			'Åkerby,Älvsund,Björnö,Dalsjö,Grönvik,Hällnäs,Järvla,Kvarnå,Mörtnäs,Ödeshög,Sjörup,Tångvik,Vårby'
		),
		trades: list(
			'Bageri,Snickeri,Skola,Trädgård,Verkstad,Tryckeri,El,Kommun,Bygg,Plåtslageri,Järnhandel,Måleri'
		),
		forms: ['AB', 'HB', 'AB (publ)', 'Ek. för.', '', 'Handelsbolag'],
		persons: ['LENA ÅSTRÖM', 'Hr Nils Brodd', 'P O Hägg'],
		before: ['faktura', 'fakt', 'Fakturanr', 'avser faktura', 'ref'],
		silent: ['', 'betalning', 'tack', 'insättning', 'överföring', 'faktura'],
		onAccount: ['à conto', 'förskott', 'handpenning'],
		part: ['delbetalning', 'delbetalning av', 'första delen'],
		taken: ['avdrag skada', 'minus trasigt', 'saknas', 'avtalad rabatt'],
		statement: ['kontoutdrag', 'hela saldot', 'alla öppna fakturor'],
		monthly: ['stående överföring', 'månadsbetalning'],
		lessCredit: ['minus kredit', 'minus kreditfaktura'],
		others: [
			['SKATTEVERKET', 'MOMS ÅTERBETALNING'],
			['FÖRSÄKRING NORR', 'skada 40551'],
			['RÄNTA', 'ränta']
		]
	},
	{
		...{ currency: 'PLN', iban: 'PL' },
		places: list(
			'Bełżno,Chłopice,Dąbrowno,Gołuchów,Jędrzejów,Kępino,Łagowo,Mińsko,Ostrołęcz,Święcko,Żarów,Źródła'
		),
		trades: list('Piekarnia,Stolarnia,Szkoła,Ogrody,Warsztat,Drukarnia,Hurtownia,Gmina,Budowa,Ceramika'),
		forms: ['Sp. z o.o.', 'sp. z o.o. sp. k.', 'S.A.', 's.c.', ''],
		persons: ['JAN WRÓBLEWICZ', 'Pani Ewa Łęcka', 'TOMASZ GÓRA'],
		before: ['faktura', 'FV', 'faktura nr', 'za fakturę', 'płatność FV', 'dot. faktury'],
		silent: ['', 'przelew', 'PRZELEW ELIXIR', 'zapłata', 'dziękuję', 'za towar'],
		onAccount: ['zaliczka', 'przedpłata', 'na poczet'],
		part: ['częściowa zapłata', 'zapłata częściowa', 'I rata'],
		taken: ['minus uszkodzone', 'braki', 'potrącenie za uszkodzenia'],
		statement: ['saldo', 'wszystkie faktury', 'wyrównanie salda'],
		monthly: ['zlecenie stałe', 'opłata miesięczna'],
		lessCredit: ['minus korekta', 'po korekcie'],
		others: [
			['URZAD SKARBOWY', 'ZWROT VAT'],
			['UBEZPIECZENIA WSCHOD', 'szkoda 81230'],
			['ODSETKI', 'odsetki']
		]
	},
	{
		currency: 'EUR',
		iban: 'FI',
		places: list(
			'Äänekylä,Hämeslahti,Jyrkkälä,Kärsäniemi,Lämsä,Mäntyharju,Nokkala,Oulunranta,Pöytälä,Riihimaa,Sääksi,Töysänkylä'
		),
		trades: list(
			'Leipomo,Rakennus,Koulu,Puutarha,Korjaamo,Kirjapaino,Kunta,Maalaus,Rautakauppa,Sähkö,Kuljetus'
		),
		forms: ['Oy', 'Oyj', 'Ky', 'Tmi', '', 'ry', 'Oy Ab'],
		persons: ['MATTI VIRTALA', 'Rva Aino Salmi'],
		before: ['lasku', 'Laskun nro', 'viite', 'maksu laskusta', 'laskut'],
		silent: ['', 'maksu', 'TILISIIRTO', 'kiitos', 'lasku', 'SEPA-MAKSU'],
		onAccount: ['ennakkomaksu', 'ennakko', 'käsiraha'],
		part: ['osamaksu', 'osasuoritus', '1. erä'],
		taken: ['miinus vaurio', 'vaurioitunut', 'puuttuu', 'hinnanalennus'],
		statement: ['tiliote', 'saldo', 'kaikki avoimet'],
		monthly: ['kuukausimaksu', 'toistuva maksu'],
		lessCredit: ['miinus hyvitys', 'hyvityslasku vähennetty'],
		others: [
			['VEROHALLINTO', 'ALV PALAUTUS'],
			['VAKUUTUS POHJA', 'korvaus 77123'],
			['KORKO', 'talletuskorko']
		]
	},
	{
		currency: 'EUR',
		iban: 'PT',
		places: list(
			'Alcobaça Nova,Batalhães,Cantanhêde,Évorim,Fafião,Góisim,Lousadela,Mação Novo,Óbidelos,Penacovão,Seiães,Tábuela'
		),
		trades: list(
			'Padaria,Carpintaria,Escola,Viveiros,Oficina,Tipografia,Cerâmica,Construções,Câmara,Farmácia,Transportes'
		),
		forms: ['Lda', 'Lda.', 'S.A.', 'Unipessoal Lda', '', 'e Filhos'],
		persons: ['SR JOAO MELO', 'D. ANA PRATAS'],
		before: ['fatura', 'fat.', 'FT', 'pagamento fatura', 'ref', 'faturas'],
		silent: ['', 'transferência', 'pagamento', 'TRF SEPA', 'obrigado', 'fatura'],
		onAccount: ['por conta', 'adiantamento', 'sinal'],
		part: ['pagamento parcial', '1ª prestação', 'parte da'],
		taken: ['menos quebras', 'mercadoria danificada', 'desconto acordado', 'em falta'],
		statement: ['extrato', 'saldo', 'conta corrente', 'todas as faturas'],
		monthly: ['mensalidade', 'ordem permanente'],
		lessCredit: ['menos nota de crédito', 'deduzida NC'],
		others: [
			['AUTORIDADE FISCAL', 'REEMBOLSO IVA'],
			['SEGUROS DO MAR', 'sinistro 11870'],
			['JUROS', 'juros credores']
		]
	},
	{
		currency: 'CZK',
		iban: 'CZ',
		places: list(
			'Březová,Čermákov,Dolní Lhotka,Hořice,Jeřábek,Křižanov,Lípa,Mříč,Ořechov,Příkazy,Řečice,Šumperk,Žďár Malý'
		),
		trades: list(
			'Pekárna,Truhlářství,Škola,Zahradnictví,Autoservis,Tiskárna,Obec,Stavby,Keramika,Doprava,Lékárna'
		),
		forms: ['s.r.o.', 'a.s.', 'spol. s r.o.', '', 'v.o.s.', 'z.s.'],
		persons: ['JAN NOVÁČEK', 'Pí Eva Malá'],
		before: ['faktura', 'FA', 'VS', 'platba faktury', 'fakt. č.', 'úhrada'],
		silent: ['', 'platba', 'PŘEVOD', 'děkuji', 'úhrada', 'za zboží'],
		onAccount: ['záloha', 'zálohová platba', 'předem'],
		part: ['částečná úhrada', '1. splátka', 'část'],
		taken: ['minus poškozené', 'poškozeno', 'chybí zboží', 'sleva dle dohody'],
		statement: ['výpis', 'saldo', 'všechny faktury'],
		monthly: ['trvalý příkaz', 'měsíční platba'],
		lessCredit: ['minus dobropis', 'po dobropisu'],
		others: [
			['FINANČNÍ ÚŘAD', 'VRÁCENÍ DPH'],
			['POJIŠŤOVNA JIH', 'pojistka 55102'],
			['ÚROKY', 'úrok']
		]
	}
];
