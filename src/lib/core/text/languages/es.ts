import type { Language } from './language';

/** What customers who write Spanish put beside numbers. */
export const es: Language = {
	code: 'es',
	name: 'Spanish',
	phrases: {
		onAccount: ['a cuenta'],
		upToDate: ['estado de cuenta'],
		notWhole: ['parcial', 'menos', 'descontado'],
		part: ['pago parcial', 'a cuenta', '(?:primer|segundo) plazo'],
		tax: ['retencion', 'irpf'],
		order: ['pedido'],
		payout: ['liquidacion tarjetas?'],
		claims: {
			damaged: ['rotos?', 'roturas?', 'danad[oa]s?'],
			missing: ['faltantes?'],
			late: ['retraso'],
			returned: ['devolucion'],
			price: ['precio', 'descuento'],
			other: ['menos']
		}
	},
	legalForms: 'SL SLU SAU SCOOP SC'.split(' '),
	joiningWords: [],
	neutralWords: 'TRANSFERENCIA TRANSF PAGO FACTURA FACTURAS GRACIAS ABONO MENSUAL MENSUALIDAD PEDIDO'.split(
		' '
	)
};
