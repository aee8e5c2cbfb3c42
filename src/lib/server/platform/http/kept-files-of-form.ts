/** The files of a form's field `files`, with what is in them; a field in which none was chosen has none. */
export function keptFilesOfForm(form: FormData) {
	const given = form.getAll('files').filter((one): one is File => one instanceof File && one.name !== '');
	return Promise.all(
		given.map(async (file) => ({
			...{ name: file.name, type: file.type },
			content: Buffer.from(await file.arrayBuffer())
		}))
	);
}
