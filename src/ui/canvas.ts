/** Canvases: as fine as the screen, and as files. */

/** Most device pixels drawn for a CSS pixel. */
const MOST_DENSE = 2;

/**
 * A canvas made as large as it is shown, and as fine as the screen is; null where it cannot be painted on. One px of
 * `context` is a pixel of the canvas, `density` of which make a px of the page.
 */
export function sized(canvas: HTMLCanvasElement | null, widthPx: number, heightPx: number) {
  const context = canvas?.getContext('2d');
  if (!canvas || !context) return null;
  const density = Math.min(MOST_DENSE, window.devicePixelRatio || 1);
  const [width, height] = [Math.round(widthPx * density), Math.round(heightPx * density)];
  // To set either clears the canvas and costs time.
  if (canvas.width !== width) canvas.width = width;
  if (canvas.height !== height) canvas.height = height;
  context.setTransform(1, 0, 0, 1, 0, 0);
  return { context, width, height, density };
}

/** What is painted on a canvas, as a PNG file. */
export async function pngOfCanvas(canvas: HTMLCanvasElement): Promise<Blob> {
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
  if (!blob) throw new Error('the picture could not be made');
  return blob;
}

/** An SVG picture as PNG, `scale` pixels to its unit. */
export async function pngOfSvg(svg: string, scale = 1): Promise<Blob> {
  const picture = new Image();
  const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  try {
    picture.src = url;
    await picture.decode();
    const canvas = document.createElement('canvas');
    canvas.width = picture.naturalWidth * scale;
    canvas.height = picture.naturalHeight * scale;
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    return await pngOfCanvas(canvas);
  } finally {
    URL.revokeObjectURL(url);
  }
}
