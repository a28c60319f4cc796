import { redirect } from '@sveltejs/kit';
import { openLink } from '$lib/server/db/guests/links';
import { keepVisit } from '$lib/server/sign-in/guard';
import { isLanguage } from '$lib/words/guest/guest-words';

/** A page of two sentences, in both languages: it tells nobody what the link was for. */
const page = (english: [string, string], german: [string, string]): string =>
	`<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<meta name="robots" content="noindex"><title>${english[0]}</title>
<body style="font: 18px/1.5 sans-serif; max-width: 34em; margin: 3em auto; padding: 0 1em">
<main><h1>${english[0]}</h1><p>${english[1]}</p><h2 lang="de">${german[0]}</h2><p lang="de">${german[1]}</p></main></body></html>`;
const OVER = page(
	['This link opens no more', 'Ask your guide for a new one. What you ticked and asked is kept.'],
	[
		'Dieser Link geht nicht mehr auf',
		'Bitte deine Reiseleitung um einen neuen. Was du abgehakt und gefragt hast, ist noch da.'
	]
);
const BYE = page(
	['This device has forgotten the page', 'Your link opens it again. What you ticked and asked is kept.'],
	[
		'Dieses Gerät hat die Seite vergessen',
		'Mit deinem Link geht sie wieder auf. Was du abgehakt und gefragt hast, ist noch da.'
	]
);
const HEADERS = {
	'content-type': 'text/html; charset=utf-8',
	'referrer-policy': 'no-referrer',
	'x-robots-tag': 'noindex'
};

/** Opens a private link: its secret becomes a cookie, and is gone from the address. */
export async function GET(event) {
	const { token } = event.params;
	if (token === 'bye') return new Response(BYE, { headers: HEADERS });
	const visit = token === 'over' ? null : await openLink(token);
	if (!visit) return new Response(OVER, { status: 404, headers: HEADERS });
	keepVisit(event, visit);
	const language = event.url.searchParams.get('in') ?? undefined;
	if (isLanguage(language))
		event.cookies.set('language', language, { path: '/', httpOnly: false, maxAge: 31_536_000 });
	redirect(303, '/my');
}
