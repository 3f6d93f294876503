/** The longer side of a picture that is kept, pixels, and how well it is written. */
const SIDE = 1600;
const QUALITY = 0.85;
/** Larger files are not even opened, bytes. */
export const LARGEST_FILE = 30 * 1024 * 1024;

/**
 * A picture as the log keeps it: turned upright, no larger than it is looked at.
 * @throws Error in words when the file is too large, or no picture
 */
export async function smaller(file: Blob): Promise<Blob> {
  if (file.size > LARGEST_FILE)
    throw new Error(
      `This picture has ${(file.size / 1048576).toFixed(0)} MB; at most ${LARGEST_FILE / 1048576} are taken. Make it smaller first.`,
    );
  const picture = await createImageBitmap(file).catch(() => {
    throw new Error('This file is no picture that the browser can show.');
  });
  const share = Math.min(1, SIDE / Math.max(picture.width, picture.height));
  const canvas = new OffscreenCanvas(Math.round(picture.width * share), Math.round(picture.height * share));
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
}
