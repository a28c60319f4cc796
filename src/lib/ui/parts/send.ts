import type { FieldError } from '$lib/formats/check';

export interface Answer<T> {
	ok: boolean;
	status: number;
	data: T | null;
	message: string;
	/** messages by field path */
	errors: Record<string, string>;
	/** of a refused write: what is there now */
	current?: unknown;
}

/** Sends a write to the server. Whatever happens comes back as words; nothing is thrown, nothing typed is lost. */
export async function send<T>(
	method: 'POST' | 'PUT' | 'DELETE',
	url: string,
	body?: unknown
): Promise<Answer<T>> {
	try {
		const response = await fetch(url, {
			method,
			...(body !== undefined && {
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify(body)
			})
		});
		const answer = (await response.json()) as T & {
			message?: string;
			errors?: FieldError[];
			current?: unknown;
		};
		if (response.ok) return { ok: true, status: response.status, data: answer, message: '', errors: {} };
		const errors = Object.fromEntries((answer.errors ?? []).map(({ field, message }) => [field, message]));
		return {
			ok: false,
			status: response.status,
			data: null,
			message: answer.message ?? 'Not saved.',
			errors,
			current: answer.current
		};
	} catch {
		return {
			ok: false,
			status: 0,
			data: null,
			message: 'The server does not answer. What you typed is kept here; try again.',
			errors: {}
		};
	}
}
