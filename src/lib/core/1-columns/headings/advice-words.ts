import type { HeadingWords } from './language';

/** What remittance advices call their columns, beside the number of the document. */
export const ADVICE_WORDS = {
	en: {
		paid: ['paid', 'amount paid', 'payment amount', 'payment', 'net amount', 'net', 'amount'],
		gross: ['gross', 'gross amount', 'invoice amount', 'document amount', 'original amount', 'original'],
		taken_off: ['taken off', 'deduction', 'deductions', 'discount', 'adjustment', 'difference'],
		why: ['reason', 'comment', 'comments', 'note', 'notes', 'remark', 'remarks', 'description', 'text']
	},
	de: {
		paid: [
			'zahlbetrag',
			'bezahlt',
			'gezahlt',
			'uberweisungsbetrag',
			'zahlung',
			'nettobetrag',
			'netto',
			'betrag'
		],
		gross: ['brutto', 'bruttobetrag', 'rechnungsbetrag', 'belegbetrag'],
		taken_off: ['skonto', 'skontobetrag', 'abzug', 'abzuge', 'kurzung', 'einbehalt', 'differenz'],
		why: ['grund', 'begrundung', 'bemerkung', 'hinweis', 'text']
	},
	fr: {
		paid: ['montant paye', 'montant regle', 'paye', 'reglement', 'net a payer', 'net', 'montant'],
		gross: ['brut', 'montant brut', 'montant facture', 'montant de la facture'],
		taken_off: ['escompte', 'deduction', 'retenue', 'remise', 'ecart'],
		why: ['motif', 'commentaire', 'remarque', 'libelle']
	},
	es: {
		paid: ['importe pagado', 'pagado', 'pago', 'importe neto', 'neto', 'importe'],
		gross: ['importe bruto', 'bruto', 'importe factura', 'importe de la factura'],
		taken_off: ['descuento', 'deduccion', 'retencion', 'diferencia'],
		why: ['motivo', 'comentario', 'observaciones', 'concepto']
	},
	it: {
		paid: ['importo pagato', 'pagato', 'pagamento', 'importo netto', 'netto', 'importo'],
		gross: ['importo lordo', 'lordo', 'importo fattura'],
		taken_off: ['sconto', 'trattenuta', 'detrazione', 'differenza'],
		why: ['motivo', 'nota', 'note', 'descrizione']
	},
	nl: {
		paid: ['betaald bedrag', 'betaald', 'betaling', 'nettobedrag', 'netto', 'bedrag'],
		gross: ['brutobedrag', 'bruto', 'factuurbedrag'],
		taken_off: ['korting', 'betalingskorting', 'inhouding', 'aftrek', 'verschil'],
		why: ['reden', 'opmerking', 'toelichting', 'omschrijving']
	}
} satisfies Readonly<Record<string, HeadingWords['fields']>>;
