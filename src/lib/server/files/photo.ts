import sharp from 'sharp';

/**
 * Photos that clients send. What comes in is never kept as it is: it is read as pixels and written anew, so that nothing that
 * the camera noted, and nothing that is hidden beside the picture, goes further.
 */

// Only what a phone takes is read at all: no documents, no scripts that draw.
sharp.block({ operation: ['VipsForeignLoad'] });
sharp.unblock({ operation: ['VipsForeignLoadJpeg', 'VipsForeignLoadPng', 'VipsForeignLoadWebp'] });
sharp.cache(false);
sharp.concurrency(1);

/** Longest side that is kept, pixels. */
const MOST_SIDE = 1280;
/** A larger picture is not read: it would take the memory of everybody else. */
const MOST_PIXELS = 40_000_000;
const QUALITY = 74;

export interface Photo {
	image: Buffer;
	width: number;
	height: number;
}

/** @throws RangeError that says what is wrong with a picture, in words */
export async function cleanPhoto(sent: Uint8Array): Promise<Photo> {
	try {
		const picture = sharp(sent, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
		const { width, height } = await picture.metadata();
		if (width * height > MOST_PIXELS)
			throw new RangeError('The picture has too many pixels: send a smaller one.');
		const { data, info } = await picture
			.rotate()
			.resize({ width: MOST_SIDE, height: MOST_SIDE, fit: 'inside', withoutEnlargement: true })
			.flatten({ background: '#ffffff' })
			.jpeg({ quality: QUALITY })
			.toBuffer({ resolveWithObject: true });
		return { image: data, width: info.width, height: info.height };
	} catch (trouble) {
		if (trouble instanceof RangeError) throw trouble;
		const isLarge = trouble instanceof Error && /pixel limit/.test(trouble.message);
		throw new RangeError(
			isLarge
				? 'The picture has too many pixels: send a smaller one.'
				: 'This is no picture that can be read: send a JPEG, PNG or WebP.',
			{ cause: trouble }
		);
	}
}
