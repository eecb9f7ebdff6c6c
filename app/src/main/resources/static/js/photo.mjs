// A photo that has to wait: upright, no larger than the server keeps it, and without what the camera wrote into it.
const LONGEST = 2560;
const QUALITY = 0.85;

/** As base64 of a JPEG; fails for what is no picture here. */
export async function small(file) {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext('2d').drawImage(picture, 0, 0, canvas.width, canvas.height);
  const url = canvas.toDataURL('image/jpeg', QUALITY);
  return url.slice(url.indexOf(',') + 1);
}
