/** Asks the server for one thing after another, as fast as somebody types: an answer that comes after a newer question is null. */
export function newestAnswer<T>(): (url: string) => Promise<T | null> {
	let asked = 0;
	return async (url) => {
		const mine = ++asked;
		const response = await fetch(url).catch(() => null);
		if (!response?.ok || mine !== asked) return null;
		const answer = (await response.json()) as T;
		return mine === asked ? answer : null;
	};
}
