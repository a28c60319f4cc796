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

/** What the server answers to a request, in words whatever it is. */
async function answered<T>(url: string, request: RequestInit): Promise<Answer<T>> {
	try {
		const response = await fetch(url, request);
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

let underway = 0;
/** The page says of itself that something is being saved; what drives it from outside must not leave it before. */
async function telling<T>(answer: Promise<T>): Promise<T> {
	const { dataset } = document.documentElement;
	underway++;
	dataset['saving'] = 'true';
	const result = await answer;
	if (--underway === 0) delete dataset['saving'];
	return result;
}

/** Sends a write to the server. Whatever happens comes back as words; nothing is thrown, nothing typed is lost. */
export const send = <T>(
	method: 'POST' | 'PUT' | 'PATCH' | 'DELETE',
	url: string,
	body?: unknown
): Promise<Answer<T>> =>
	telling(
		answered<T>(url, {
			method,
			...(body !== undefined && {
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify(body)
			})
		})
	);

/** Sends a file as it is. */
export const sendFile = <T>(url: string, file: Blob): Promise<Answer<T>> =>
	answered<T>(url, { method: 'POST', headers: { 'content-type': 'application/octet-stream' }, body: file });
