import { noteSeen } from '$lib/server/db/guests/links';
import { guestPage } from '$lib/server/plans/guest-page';
import { orNotFound } from '$lib/server/http';
import { FRAME as GERMAN_FRAME } from '$lib/words/de/frame-words';
import { isLanguage, languageFor } from '$lib/words/guest/guest-words';

export async function load({ locals, cookies, request, setHeaders }) {
	const guest = locals.guest!;
	setHeaders({ 'x-robots-tag': 'noindex' });
	const chosen = cookies.get('language');
	const page = await orNotFound(guestPage(guest));
	await noteSeen(guest.linkId);
	const language = isLanguage(chosen)
		? chosen
		: (page.reads ?? languageFor(request.headers.get('accept-language') ?? ''));
	return { ...page, language, frame: language === 'de' ? GERMAN_FRAME : null };
}
