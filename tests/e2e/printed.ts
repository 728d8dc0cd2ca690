import { createCanvas } from '@napi-rs/canvas';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** A stretch of text in one size; places are points from the page's upper left corner. */
export type Piece = { text: string; x: number; y: number; size: number };

export type PrintedPage = {
	width: number;
	height: number;
	pieces: Piece[];
	/** All text in the order it was set, blanks made one. */
	text: string;
	/** Share of dark squares (a point each) within a box. */
	ink: (left: number, top: number, right: number, bottom: number) => number;
};

/** A PDF read back by a library that had no part in making it: its text with where it stands, and each page as it looks. */
export async function readPdf(bytes: Uint8Array): Promise<PrintedPage[]> {
	const document = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
	const pages: PrintedPage[] = [];
	for (let number = 1; number <= document.numPages; number++) {
		const page = await document.getPage(number);
		const { width, height } = page.getViewport({ scale: 1 });
		const pieces: Piece[] = [];
		for (const item of (await page.getTextContent()).items)
			if ('str' in item && item.str.trim())
				pieces.push({
					text: item.str,
					x: item.transform[4],
					y: height - item.transform[5],
					size: Math.hypot(item.transform[2], item.transform[3])
				});
		const [wide, tall] = [Math.ceil(width), Math.ceil(height)];
		const canvas = createCanvas(wide, tall);
		const context = canvas.getContext('2d');
		context.fillStyle = '#fff';
		context.fillRect(0, 0, wide, tall);
		// The canvas of the library is not the browser's own type, but draws as it does.
		await page.render({
			canvas: canvas as never,
			canvasContext: context as never,
			viewport: page.getViewport({ scale: 1 })
		}).promise;
		const { data } = context.getImageData(0, 0, wide, tall);
		const dark = (x: number, y: number) => (data[4 * (y * wide + x) + 1] ?? 255) < 170;
		pages.push({
			width,
			height,
			pieces,
			text: pieces
				.map((p) => p.text)
				.join(' ')
				.replace(/\s+/g, ' '),
			ink: (left, top, right, bottom) => {
				let count = 0;
				for (let y = Math.round(top); y < Math.round(bottom); y++)
					for (let x = Math.round(left); x < Math.round(right); x++) if (dark(x, y)) count++;
				return count / Math.max(1, Math.round(right - left) * Math.round(bottom - top));
			}
		});
	}
	await document.destroy();
	return pages;
}

/** Text as it is compared: without blanks and marks of lists, which every printer sets otherwise. */
export const bare = (text: string) => text.replace(/[\s\u00a0•▪_]/g, '');
