// Readings that got no answer: kept on the device, sealed for who typed them, sent in order and once each when there is a way.
import { here, notice, person, quiet, token } from './page.mjs';
import { say } from './say.mjs';

const RETRY = 3000;
const sealWith = document.querySelector('meta[name=device]')?.content;
const others = 'BroadcastChannel' in window ? new BroadcastChannel('abbex') : null;
const sign = document.getElementById('waits');
/** What waits of this person, oldest first, opened. */
let waiting = [];
/** Where nothing can be kept on the device, it is held here until the page goes. */
let loose = false;
let timer = null;
/** The sign-in of this page is over, or is somebody else's by now: nothing goes until that is mended. */
let stranger = false;

const asked = (request) =>
  new Promise((done, failed) => {
    request.onsuccess = () => done(request.result);
    request.onerror = () => failed(request.error);
  });
let shelf = null;
async function store(mode) {
  shelf ??= await new Promise((done, failed) => {
    const open = indexedDB.open('abbex-waits', 1);
    open.onupgradeneeded = () => open.result.createObjectStore('waits', { keyPath: 'client' });
    open.onsuccess = () => done(open.result);
    open.onerror = () => failed(open.error);
  });
  return shelf.transaction('waits', mode).objectStore('waits');
}
let seal = null;
async function key() {
  seal ??= await crypto.subtle.importKey(
    'raw',
    Uint8Array.from(atob(sealWith), (c) => c.charCodeAt(0)),
    'AES-GCM',
    false,
    ['encrypt', 'decrypt'],
  );
  return seal;
}

async function keep(entry) {
  const iv = crypto.getRandomValues(new Uint8Array(12));
  const data = await crypto.subtle.encrypt(
    { name: 'AES-GCM', iv },
    await key(),
    new TextEncoder().encode(JSON.stringify(entry)),
  );
  // On the device only once the whole transaction is: a page that is left before that takes it along.
  const put = (await store('readwrite')).put({ client: entry.client, person, iv, data });
  await new Promise((done, failed) => {
    put.transaction.oncomplete = done;
    put.transaction.onabort = put.transaction.onerror = () => failed(put.error);
  });
}
async function opened() {
  const mine = (await asked((await store('readonly')).getAll())).filter((r) => r.person === person);
  const entries = [];
  for (const r of mine) {
    try {
      entries.push(
        JSON.parse(
          new TextDecoder().decode(await crypto.subtle.decrypt({ name: 'AES-GCM', iv: r.iv }, await key(), r.data)),
        ),
      );
    } catch {
      /* sealed with another key: it stays for whoever has that */
    }
  }
  return entries.sort((a, b) => a.typedAt - b.typedAt);
}
async function forget(entry) {
  waiting = waiting.filter((e) => e.client !== entry.client);
  if (!loose) await asked((await store('readwrite')).delete(entry.client));
}

function said() {
  sign.hidden = waiting.length === 0;
  sign.textContent = waiting.length === 1 ? say('script.waits.one') : say('script.waits', { count: waiting.length });
  if (!waiting.length) return;
  if (stranger) {
    notice(say('script.waits.stranger'), here(), say('script.sign-in'));
    return;
  }
  const corners = [...new Set(waiting.map((e) => e.corner))].join(', ');
  notice(say(loose ? 'script.waits.loose' : 'script.waits.kept', { corners }));
}
function later() {
  clearTimeout(timer);
  timer = setTimeout(() => queue.drain(), RETRY);
}

/** The answer's status; 0 when there was none. */
async function send(e) {
  const body = new URLSearchParams({
    corner: e.corner,
    method: e.method,
    raw: e.raw,
    client: e.client,
    by: person,
    ago: String(Math.max(0, Date.now() - e.typedAt)),
  });
  try {
    const answer = await fetch(e.url, {
      method: 'POST',
      body,
      headers: { 'HX-Request': 'true', ...(token ? { [token.dataset.header]: token.content } : {}) },
    });
    return answer.redirected ? 401 : answer.status;
  } catch {
    return 0;
  }
}

async function one() {
  if (!loose) waiting = await opened();
  const done = [];
  for (const e of [...waiting]) {
    const status = await send(e);
    if (status === 0 || status === 409 || status >= 500) break;
    if ([401, 403, 412].includes(status)) {
      stranger = true;
      break;
    }
    await forget(e);
    done.push({ ...e, status });
  }
  return done;
}

export const queue = {
  ready: null,
  holding: () => waiting.length > 0,
  /** What waits for a sheet. */
  of: (sheet) => waiting.filter((e) => e.url.split('/')[4] === sheet),
  has: (client) => waiting.some((e) => e.client === client),
  async put(entry) {
    if (this.has(entry.client)) return !loose;
    waiting.push(entry);
    waiting.sort((a, b) => a.typedAt - b.typedAt);
    if (!loose)
      try {
        await keep(entry);
      } catch {
        loose = true;
      }
    said();
    others?.postMessage('waits');
    later();
    return !loose;
  },
  /** One tab at a time, so that nothing goes twice and the order stays. */
  async drain() {
    if (!person || stranger) return;
    let done = [];
    const work = async (lock) => {
      if (lock) done = await one();
    };
    if (navigator.locks && !loose) await navigator.locks.request('abbex-waits', { ifAvailable: true }, work);
    else await work(true);
    said();
    if (waiting.length && !stranger) later();
    if (done.length) {
      if (!waiting.length) quiet();
      document.dispatchEvent(new CustomEvent('abbex:stored', { detail: done }));
      others?.postMessage('stored');
    }
  },
};

queue.ready = (async () => {
  if (!person || !sign) return;
  try {
    if (!sealWith || !crypto.subtle) throw new Error('nothing to seal with');
    waiting = await opened();
  } catch {
    loose = true;
  }
  said();
  if (waiting.length) queue.drain();
})();
others?.addEventListener('message', async (e) => {
  if (!loose) waiting = await opened();
  said();
  if (!waiting.length) quiet();
  if (e.data === 'stored') document.dispatchEvent(new CustomEvent('abbex:stored', { detail: [] }));
});
addEventListener('online', () => queue.drain());
