/** Longest side of a photo that is kept, px, and how it is packed. */
const LONGEST = 1600;
const QUALITY = 0.8;

/** A photo from a camera or a file, made small enough to keep; null where it is no picture. */
export async function shrink(file: Blob): Promise<Blob | null> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => null);
  if (!picture) return null;
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return new Promise((done) => canvas.toBlob(done, 'image/jpeg', QUALITY));
}
