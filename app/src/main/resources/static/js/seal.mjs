// What is kept on a device is sealed for who typed it: with a key that only a page of that person's own sign-in carries.
const sealWith = document.querySelector('meta[name=device]')?.content;

let key = null;
async function own() {
  if (!sealWith || !crypto.subtle) throw new Error('nothing to seal with');
  const bytes = Uint8Array.from(atob(sealWith), (c) => c.charCodeAt(0));
  key ??= await crypto.subtle.importKey('raw', bytes, 'AES-GCM', false, ['encrypt', 'decrypt']);
  return key;
}

/** Whether there is anything to seal with. */
export const seals = Boolean(sealWith && crypto.subtle);

/** A value, encrypted: its bytes and what they were begun with. */
export async function seal(value) {
  const iv = crypto.getRandomValues(new Uint8Array(12));
  const text = new TextEncoder().encode(JSON.stringify(value));
  return { iv, data: await crypto.subtle.encrypt({ name: 'AES-GCM', iv }, await own(), text) };
}

/** What was sealed; refused when it was with another key. */
export async function unseal({ iv, data }) {
  return JSON.parse(new TextDecoder().decode(await crypto.subtle.decrypt({ name: 'AES-GCM', iv }, await own(), data)));
}
