import { defineLook } from '../../act/define-look';
import { NO_MAIL, type MailSetting } from '../store/mail-shape';
import { readSetting } from '../store/settings';

/** How mail goes, without anything that is kept secret. */
export const lookAtMailSettings = defineLook('supervisor', async (db, _: null) => {
	const { server, mailbox, signing } = (await readSetting(db, 'mail')) ?? NO_MAIL;
	return {
		server: server && shown(server),
		mailbox: mailbox && { ...shown(mailbox), folder: mailbox.folder, address: mailbox.address },
		signing: signing && {
			...{ domain: signing.domain, selector: signing.selector, publicKey: signing.publicKey },
			isUsed: signing.isUsed
		},
		email: (await readSetting(db, 'firm'))?.email ?? '',
		demo: (await readSetting(db, 'demo')) === true
	};
});

const shown = ({ host, port, security, user, sealed }: NonNullable<MailSetting['server']>) => ({
	...{ host, port, security, user },
	hasPassword: sealed !== ''
});
