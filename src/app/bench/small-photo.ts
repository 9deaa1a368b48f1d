/** Most that a photo takes up, bytes. */
export const PHOTO_BYTES = 300_000;

/** Longest side, px, and how well it is drawn: the first that is small enough is kept. */
const TRIES = [
  { px: 1280, quality: 0.82 },
  { px: 1024, quality: 0.76 },
  { px: 800, quality: 0.7 },
  { px: 560, quality: 0.6 },
  { px: 360, quality: 0.5 },
] as const;

/** A photo, turned upright and made small enough to be kept, as a data address; undefined for what is no picture. */
export async function smallPhoto(file: Blob): Promise<string | undefined> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined);
  if (!picture) return undefined;
  try {
    for (const { px, quality } of TRIES) {
      const blob = await drawn(picture, px, quality);
      if (blob && blob.size <= PHOTO_BYTES) return await addressOf(blob);
    }
    return undefined;
  } finally {
    picture.close();
  }
}

function drawn(picture: ImageBitmap, px: number, quality: number): Promise<Blob | null> {
  const scale = Math.min(1, px / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve) => canvas.toBlob(resolve, 'image/jpeg', quality));
}

function addressOf(blob: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(new Error('the photo cannot be read'));
    reader.readAsDataURL(blob);
  });
}
