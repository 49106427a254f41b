const LONGEST_SIDE = 1280;
const QUALITY = 0.8;

/** A picture made small before it is sent: it travels to every device that goes there. */
export async function smallPicture(file: File): Promise<Blob> {
  const picture = await createImageBitmap(file);
  const scale = Math.min(1, LONGEST_SIDE / Math.max(picture.width, picture.height));
  const canvas = new OffscreenCanvas(Math.round(picture.width * scale), Math.round(picture.height * scale));
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
}
