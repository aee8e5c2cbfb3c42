import type { Language } from './language';

/** What customers who write Portuguese put beside numbers. */
export const pt: Language = {
	code: 'pt',
	name: 'Portuguese',
	phrases: {
		onAccount: ['sinal', 'adiantamento', 'por conta'],
		upToDate: ['extrato', 'conta corrente', 'todas as faturas'],
		notWhole: ['prestacao', 'parte', 'nota de credito'],
		part: ['pagamento parcial', '\\d.? prestacao', 'parte da'],
		tax: [],
		order: ['encomenda', 'pedido'],
		payout: ['liquidacao cartoes'],
		claims: {
			damaged: ['quebras?', 'danificad[oa]s?'],
			missing: ['em falta'],
			late: [],
			returned: [],
			price: ['desconto'],
			other: []
		}
	},
	legalForms: 'LDA UNIPESSOAL'.split(' '),
	joiningWords: [],
	neutralWords: 'FATURA FATURAS OBRIGADO OBRIGADA MENSALIDADE ORDEM PERMANENTE'.split(' ')
};
