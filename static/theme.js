// Before anything is drawn: the theme that was chosen on this browser, or the system's.
(() => {
	const chosen = /(?:^|; )theme=(light|dark)/.exec(document.cookie)?.[1];
	const dark = chosen ? chosen === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
	document.documentElement.classList.toggle('dark', dark);
})();
