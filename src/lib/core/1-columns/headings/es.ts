import { ADVICE_WORDS } from './advice-words';
import { BANK_WORDS } from './bank-words';
import { RATE_WORDS } from './rate-words';
import type { HeadingWords } from './language';

/** What tables in Spanish call their fields. */
export const es: HeadingWords = {
	fields: {
		...BANK_WORDS.es,
		...ADVICE_WORDS.es,
		...RATE_WORDS.es,
		number: ['numero de factura', 'n factura', 'no factura', 'factura', 'num factura', 'documento', 'numero'],
		kind: ['tipo', 'tipo de documento', 'clase'],
		customer_code: [
			'codigo de cliente',
			'codigo cliente',
			'n cliente',
			'numero de cliente',
			'cuenta',
			'cliente'
		],
		issue_date: ['fecha de factura', 'fecha factura', 'fecha de emision', 'fecha emision', 'fecha'],
		due_date: ['vencimiento', 'fecha de vencimiento', 'fecha vencimiento'],
		currency: ['divisa', 'moneda'],
		total: ['importe total', 'total factura', 'importe', 'total'],
		open: ['pendiente', 'importe pendiente', 'saldo', 'saldo pendiente'],
		purchase_order: ['pedido', 'numero de pedido', 'su pedido', 'orden de compra'],
		order_reference: ['nuestro pedido'],
		payment_reference: ['referencia de pago', 'referencia'],
		description: ['descripcion', 'concepto', 'observaciones'],
		code: ['codigo de cliente', 'codigo cliente', 'codigo', 'numero de cliente', 'n cliente', 'cuenta'],
		name: ['nombre', 'razon social', 'nombre del cliente', 'empresa', 'cliente'],
		also_known_as: ['nombre comercial', 'alias'],
		payer_accounts: ['iban', 'cuenta bancaria'],
		parent_code: ['matriz', 'casa matriz'],
		terms_days: ['plazo de pago', 'dias de pago', 'condiciones de pago', 'plazo'],
		discount_percent: ['descuento pronto pago', 'descuento'],
		discount_days: ['dias de descuento'],
		email: ['correo', 'correo electronico', 'e mail', 'email'],
		address: ['direccion', 'domicilio', 'calle'],
		phone: ['telefono', 'tel'],
		reminder_email: ['correo para recordatorios', 'email de reclamacion'],
		credit_limit: ['limite de credito', 'credito maximo', 'riesgo'],
		tax_number: ['nif', 'cif', 'nif iva', 'numero de iva'],
		language: ['idioma', 'codigo de idioma'],
		tags: ['grupo', 'categoria', 'etiquetas'],
		notes: ['notas', 'observaciones', 'comentarios'],
		date: ['fecha de pago', 'fecha', 'fecha de cobro', 'pagado el', 'fecha valor'],
		payer_name: ['pagador', 'ordenante', 'nombre'],
		payer_account: ['iban', 'cuenta del pagador', 'cuenta ordenante'],
		invoice_numbers: ['numeros de factura', 'facturas', 'numero de factura', 'factura', 'documentos'],
		difference_kind: ['tipo de diferencia', 'motivo'],
		difference_amount: ['diferencia', 'descuento', 'deduccion']
	},
	kinds: {
		invoice: ['factura', 'fac'],
		credit_note: ['abono', 'nota de credito', 'rectificativa'],
		charge: ['cargo', 'intereses']
	}
};
