import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { cleanPhoto } from './photo';

const plain = (width: number, height: number) =>
	sharp({ create: { width, height, channels: 3, background: '#3a7' } });

describe('a photo that is sent', () => {
	it('is written anew: small, upright, and without what the camera noted', async () => {
		const sent = await plain(3000, 1500)
			.withExif({ IFD0: { Copyright: 'Somewhere 46.9 N' } })
			.withMetadata({ orientation: 6 })
			.jpeg()
			.toBuffer();
		const { image, width, height } = await cleanPhoto(sent);
		expect([width, height]).toEqual([640, 1280]);
		const kept = await sharp(image).metadata();
		expect(kept).toMatchObject({ format: 'jpeg', width: 640, height: 1280 });
		expect([kept.exif, kept.icc, kept.xmp, kept.iptc]).toEqual([undefined, undefined, undefined, undefined]);
		expect(image.includes('Somewhere')).toBe(false);
	});
	it('loses what is hidden behind or in it', async () => {
		const script = '<script>alert(1)</script><?php system("id"); ?>';
		const hidden = Buffer.concat([await plain(20, 20).jpeg().toBuffer(), Buffer.from(script)]);
		const noted = await plain(20, 20)
			.withExif({ IFD0: { ImageDescription: script } })
			.png()
			.toBuffer();
		for (const sent of [hidden, noted]) {
			const { image } = await cleanPhoto(sent);
			expect(image.includes('script')).toBe(false);
			expect(image.includes('php')).toBe(false);
		}
	});
	it('is a JPEG, PNG or WebP, and nothing that draws, cut off or too large', async () => {
		const svg = Buffer.from(
			'<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>alert(1)</script></svg>'
		);
		const huge = await plain(10_000, 5000).png({ compressionLevel: 9 }).toBuffer();
		const whole = await plain(400, 400).jpeg().toBuffer();
		for (const sent of [
			svg,
			await plain(9, 9).gif().toBuffer(),
			await plain(9, 9).tiff().toBuffer(),
			whole.subarray(0, 200),
			Buffer.from('%PDF-1.7'),
			Buffer.alloc(0)
		])
			await expect(cleanPhoto(sent)).rejects.toThrow(/no picture that can be read/);
		await expect(cleanPhoto(huge)).rejects.toThrow(/too many pixels/);
		for (const sent of [await plain(9, 8).png().toBuffer(), await plain(9, 8).webp().toBuffer()])
			expect(await cleanPhoto(sent)).toMatchObject({ width: 9, height: 8 });
	});
});
