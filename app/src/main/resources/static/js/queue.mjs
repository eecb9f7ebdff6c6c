// Readings and what was written on a card that got no answer: kept on the device, sealed for who typed them, sent in order and once each when there is a way.
import { drafts } from './drafts.mjs';
import { here, notice, person, quiet, token } from './page.mjs';
import { say } from './say.mjs';
import { seal, seals, unseal } from './seal.mjs';

const RETRY = 3000;
/** Places that are named of what waits; a corner has four. */
const NAMED = 4;
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
async function keep(entry) {
  const { iv, data } = await seal(entry);
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
      entries.push(await unseal(r));
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
  const all = [...new Set(waiting.map((e) => e.where ?? e.corner))];
  const corners = all.slice(0, NAMED).join(', ') + (all.length > NAMED ? ' …' : '');
  notice(say(loose ? 'script.waits.loose' : 'script.waits.kept', { corners }));
}
function later() {
  clearTimeout(timer);
  timer = setTimeout(() => queue.drain(), RETRY);
}

/** What goes with it, a photo as a file. */
function parcel(e) {
  const { corner, method, raw } = e;
  const fields = {
    ...(e.fields ?? { corner, method, raw }),
    client: e.client,
    by: person,
    ago: String(Math.max(0, Date.now() - e.typedAt)),
  };
  if (!e.photo) return new URLSearchParams(fields);
  const body = new FormData();
  for (const [name, text] of Object.entries(fields)) body.set(name, text);
  const bytes = Uint8Array.from(atob(e.photo), (c) => c.charCodeAt(0));
  body.set('photo', new Blob([bytes], { type: 'image/jpeg' }), 'photo.jpg');
  return body;
}

/** The answer's status, 0 when there was none; where a card is told to go on; why it was refused. */
async function send(e) {
  try {
    const answer = await fetch(e.url, {
      method: 'POST',
      body: parcel(e),
      headers: { 'HX-Request': 'true', ...(token ? { [token.dataset.header]: token.content } : {}) },
      signal: AbortSignal.timeout(e.photo ? 60000 : 15000),
    });
    const status = answer.redirected ? 401 : answer.status;
    const why = status === 422 && e.fields ? reason(await answer.text()) : '';
    return { status, to: answer.headers.get('X-Abbex-To'), why };
  } catch {
    return { status: 0 };
  }
}
function reason(page) {
  const bad = new DOMParser().parseFromString(page, 'text/html').querySelectorAll('.bad span, .say[role=alert]');
  return [...bad].map((b) => b.textContent.trim()).join(' ');
}

/** What a card refused is told, with the way to its step; its texts are there again. */
function tell(all) {
  const refused = all.filter((e) => e.fields && e.status !== 200);
  // A tick has no text to give back.
  for (const e of refused.filter((one) => Object.keys(one.fields).some((name) => !['what', 'item'].includes(name)))) {
    drafts.put(`card:${e.url.replace(/[/]photo$/, '')}:${e.fields.what}:${e.fields.item ?? ''}`, e.fields);
  }
  if (!refused.length) return;
  // What comes after the first is mostly refused because of it.
  const { where, why, page } = refused[0];
  const more = refused.length > 1 ? say('script.card.more', { count: refused.length - 1 }) : '';
  notice(`${say('script.card.refused', { where, why })} ${more}`, page, say('script.card.go'));
}

async function one() {
  if (!loose) waiting = await opened();
  const done = [];
  for (const e of [...waiting]) {
    const { status, to, why } = await send(e);
    if (status === 0 || status === 409 || status >= 500) break;
    if ([401, 403, 412].includes(status)) {
      stranger = true;
      break;
    }
    await forget(e);
    done.push({ ...e, status, to, why });
  }
  return done;
}

export const queue = {
  ready: null,
  holding: () => waiting.length > 0,
  /** What waits for a sheet. */
  of: (sheet) => waiting.filter((e) => e.url.split('/')[4] === sheet),
  /** What waits for a card. */
  ofCard: (job) => waiting.filter((e) => e.fields && e.url.startsWith(`/jobs/${job}/fit/`)),
  send,
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
      tell(done);
      document.dispatchEvent(new CustomEvent('abbex:stored', { detail: done }));
      others?.postMessage('stored');
    }
  },
};

queue.ready = (async () => {
  if (!person || !sign) return;
  try {
    if (!seals) throw new Error('nothing to seal with');
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
