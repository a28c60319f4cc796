import { sendFile } from '../parts/send';
import { browserStore, quietly } from './browser-store';

/** Photos of things: made small in the browser, kept there until the server has them. */

/** Longest side that goes out, pixels. */
const MOST_SIDE = 1280;
const QUALITY = 0.78;
const TRY_AGAIN_MS = 15_000;

/** A picture as a small JPEG without what the camera noted: it is drawn anew. @returns null when it is no picture */
async function small(file: Blob): Promise<Blob | null> {
	const picture = await quietly(createImageBitmap(file, { imageOrientation: 'from-image' }));
	if (!picture) return null;
	const scale = Math.min(1, MOST_SIDE / Math.max(picture.width, picture.height));
	const canvas = document.createElement('canvas');
	canvas.width = Math.max(1, Math.round(picture.width * scale));
	canvas.height = Math.max(1, Math.round(picture.height * scale));
	const pen = canvas.getContext('2d')!;
	pen.fillStyle = '#fff';
	pen.fillRect(0, 0, canvas.width, canvas.height);
	pen.drawImage(picture, 0, 0, canvas.width, canvas.height);
	picture.close();
	return new Promise((resolve) => canvas.toBlob(resolve, 'image/jpeg', QUALITY));
}

interface PhotoOf {
	id: string;
	thingId: string;
}
export class Photos {
	waiting = $state.raw<readonly (PhotoOf & { url: string; image: Blob })[]>([]);
	/** at the server since the page was read */
	sent = $state.raw<readonly PhotoOf[]>([]);
	/** taken away since the page was read */
	gone = $state.raw<ReadonlySet<string>>(new Set());
	#isSending = false;
	#timer: ReturnType<typeof setTimeout> | undefined;

	/** Reads what this browser kept, and sends it. */
	async begin(): Promise<void> {
		const kept = (await quietly(browserStore().then((db) => db.getAll('photos')))) ?? [];
		this.waiting = [...this.waiting, ...kept.map((one) => ({ ...one, url: URL.createObjectURL(one.image) }))];
		await this.sync();
	}
	end(): void {
		clearTimeout(this.#timer);
	}
	/** @returns whether it is a picture */
	async add(thingId: string, file: Blob): Promise<boolean> {
		const image = await small(file);
		if (!image) return false;
		const photo = { id: crypto.randomUUID(), thingId, image };
		this.waiting = [...this.waiting, { ...photo, url: URL.createObjectURL(image) }];
		await quietly(browserStore().then((db) => db.put('photos', photo)));
		void this.sync();
		return true;
	}
	async drop(id: string): Promise<void> {
		const answer = await fetch(`/api/v1/my/photos/${id}`, { method: 'DELETE' }).catch(() => null);
		if (!answer?.ok) return;
		this.gone = new Set([...this.gone, id]);
		this.sent = this.sent.filter((one) => one.id !== id);
	}
	/** Sends what waits, one after the other. */
	sync = async (): Promise<void> => {
		clearTimeout(this.#timer);
		if (this.#isSending) return;
		this.#isSending = true;
		while (this.waiting.length > 0) {
			const [photo] = this.waiting;
			const { id, thingId, image, url } = photo!;
			const answer = await sendFile(`/api/v1/my/photos?id=${id}&thing=${encodeURIComponent(thingId)}`, image);
			// What the server will never take is not sent for ever; without an answer it waits.
			const isRefused = answer.status >= 400 && answer.status < 500 && answer.status !== 401;
			if (!answer.ok && !isRefused) break;
			if (answer.ok) this.sent = [...this.sent, { id, thingId }];
			this.waiting = this.waiting.filter((one) => one.id !== id);
			URL.revokeObjectURL(url);
			await quietly(browserStore().then((db) => db.delete('photos', id)));
		}
		this.#isSending = false;
		if (this.waiting.length > 0) this.#timer = setTimeout(() => void this.sync(), TRY_AGAIN_MS);
	};
}
