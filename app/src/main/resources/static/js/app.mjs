// What every page needs of a hand: the token for htmx, keys, theme, and texts that are never lost.
const body = document.body;
const person = body.dataset.person;
const token = document.querySelector('meta[name=csrf]');

body.addEventListener('htmx:configRequest', (e) => {
  if (token && e.detail.verb !== 'get') e.detail.headers[token.dataset.header] = token.content;
});

/** Says a sentence at the foot of the page. */
export function notice(html, href, label) {
  const box = document.getElementById('notice');
  box.textContent = html;
  if (href) {
    const a = document.createElement('a');
    a.href = href; a.textContent = label; a.className = 'btn btn-primary';
    box.append(' ', a);
  }
  box.hidden = false;
}

body.addEventListener('htmx:responseError', (e) => {
  const status = e.detail.xhr.status;
  if (status === 503) return;
  if (status === 401) notice('Your session has ended. What you typed is kept on this device.', location.pathname + location.search, 'Sign in and go on');
  else notice('That could not be taken (' + status + '). What you typed is kept on this device.', location.pathname + location.search, 'Load the page anew');
});
body.addEventListener('htmx:sendError', (e) => {
  // A reading waits on the device and says so itself, and the asking for news asks again.
  if (!e.detail.elt.matches('.spot, #news')) notice('No answer from the shop. What was typed stays here; try again when there is a network.');
});
body.addEventListener('htmx:afterRequest', (e) => { if (e.detail.successful && e.detail.requestConfig.verb !== 'get') document.getElementById('notice').hidden = true; });

/** A fresh id for what is sent; without HTTPS the browser's own maker of them is missing. */
export function freshId() {
  if (crypto.randomUUID) return crypto.randomUUID();
  const b = crypto.getRandomValues(new Uint8Array(16));
  b[6] = (b[6] & 0x0f) | 0x40; b[8] = (b[8] & 0x3f) | 0x80;
  return [...b].map((x, i) => ([4, 6, 8, 10].includes(i) ? '-' : '') + x.toString(16).padStart(2, '0')).join('');
}
if (!isSecureContext) notice('This page did not come by HTTPS: others on the network can read what is sent, and without the network nothing here works. ./abbex start --listen prints the right address.');

/** Texts kept on the device until the server has them; each belongs to the person who typed it. */
export const drafts = {
  key: (name) => `abbex:${person}:${name}`,
  get(name) { try { return JSON.parse(localStorage.getItem(this.key(name))); } catch { return null; } },
  put(name, value) { try { localStorage.setItem(this.key(name), JSON.stringify(value)); } catch { /* storage full or forbidden: the field still holds it */ } },
  drop(name) { try { localStorage.removeItem(this.key(name)); } catch { /* nothing was kept */ } },
};

// What was sent from a form is let go once a page comes back that does not complain of it.
const sent = sessionStorage.getItem('abbex:sent');
sessionStorage.removeItem('abbex:sent');
if (sent && person && !document.querySelector('form[data-unfit]')) drafts.drop(sent);

/** Puts a kept text, or what was chosen, back into its field; true when that changed anything. */
function restore(f, value) {
  const choice = f.type === 'radio' || f.type === 'checkbox';
  const now = choice ? f.checked : f.value;
  const then = f.type === 'radio' ? f.value === value : value;
  if (choice) f.checked = then; else f.value = then;
  return now !== then;
}
for (const form of document.querySelectorAll('form[data-draft]')) {
  const name = form.dataset.draft + ':' + form.dataset.draftId;
  const fields = () => [...form.elements].filter((f) => f.name && f.type !== 'hidden' && !f.name.startsWith('_'));
  const kept = drafts.get(name);
  if (kept && person) {
    let changed = false;
    for (const f of fields()) if (kept[f.name] !== undefined && restore(f, kept[f.name])) changed = true;
    if (kept.job && form.elements.job && form.dataset.draftId === 'new') form.elements.job.value = kept.job;
    if (changed) notice('What you had typed here is back.');
  }
  form.addEventListener('input', () => drafts.put(name, { ...Object.fromEntries(fields().filter((f) => f.type !== 'radio' || f.checked).map((f) => [f.name, f.type === 'checkbox' ? f.checked : f.value])), job: form.elements.job?.value }));
  form.addEventListener('submit', () => sessionStorage.setItem('abbex:sent', name));
}
if (person && location.pathname === '/' && drafts.get('arrive:new')?.plate) notice('What you had typed to receive a vehicle is kept.', '/arrive', 'Go on with it');

// A choice that is a way: it goes as soon as it is made.
document.addEventListener('change', (e) => { if (e.target.matches('select[data-go]')) e.target.form.requestSubmit(); });
document.addEventListener('click', (e) => {
  if (e.target.closest('[data-print]')) { window.print(); return; }
  const instead = e.target.closest('[data-instead]');
  if (instead) { const form = instead.closest('form'); drafts.drop(form.dataset.draft + ':' + form.dataset.draftId); return; }
  const offer = e.target.closest('.offer');
  if (!offer) return;
  const field = document.getElementById(offer.dataset.for);
  field.value = offer.dataset.offer;
  field.dispatchEvent(new Event('input', { bubbles: true }));
  field.focus();
});

// The pad for a PIN: a tap on initials or a digit leads on; a keyboard types into the field as ever.
const pin = document.querySelector('.hands #pin');
if (pin) {
  pin.form.addEventListener('change', (e) => { if (e.target.name === 'to') pin.focus(); });
  pin.form.addEventListener('click', (e) => {
    const digit = e.target.closest('[data-digit]')?.dataset.digit;
    if (!digit) return;
    pin.value = digit === 'back' ? pin.value.slice(0, -1) : (pin.value + digit).slice(0, 8);
    pin.focus();
  });
}

function dim() {
  const root = document.documentElement;
  const now = root.dataset.theme === 'auto' ? (matchMedia('(prefers-color-scheme: dark)').matches ? 'dim' : 'bright') : root.dataset.theme;
  root.dataset.theme = now === 'dim' ? 'bright' : 'dim';
  if (token) fetch('/account/theme', { method: 'POST', headers: { [token.dataset.header]: token.content, 'Content-Type': 'application/x-www-form-urlencoded' }, body: 'theme=' + root.dataset.theme });
}

const acts = {
  '?': () => document.getElementById('keys').showModal(),
  n: () => { location.href = '/arrive'; },
  f: () => { location.href = '/'; },
  h: () => { document.querySelector('.strip a:last-child')?.click(); },
  d: dim,
};
/** Other modules add their own acts. */
export function act(key, what) { acts[key] = what; }

document.addEventListener('keydown', (e) => {
  if (!person || e.ctrlKey || e.metaKey || document.querySelector('dialog[open]')) return;
  const typing = e.target.matches('input:not([type=radio]):not([type=checkbox]), textarea, select');
  if (typing ? !e.altKey : !e.altKey && body.dataset.keys !== 'true') return;
  const key = e.altKey && e.code.startsWith('Key') ? e.code.slice(3).toLowerCase() : e.key.toLowerCase();
  if (acts[key]) { e.preventDefault(); acts[key](); }
});

// Pages that were opened stay on the device for this person; another's, or a signed-out one's, go.
if (isSecureContext && 'serviceWorker' in navigator) {
  if (person || location.pathname === '/sign-in') caches.keys().then((names) => names.filter((n) => n.startsWith('pages-') && n !== 'pages-' + person).forEach((n) => caches.delete(n)));
  if (person) navigator.serviceWorker.register('/sw.js').then(() => navigator.serviceWorker.ready).then(async () => {
    if (!navigator.serviceWorker.controller) await new Promise((there) => navigator.serviceWorker.addEventListener('controllerchange', there, { once: true }));
    // What the page is made of, the page itself, and the same sheet by every method: they may be all there is for an hour.
    if (!document.getElementById('walk') || !navigator.onLine) return;
    const parts = performance.getEntriesByType('resource').map((r) => r.name).filter((n) => /\/(js|fonts|webjars)\/|\.(css|svg)(#|$)/.test(n));
    const pages = [location.href, ...[...document.querySelectorAll('.chips a, .stages a')].map((a) => a.href)];
    for (const href of new Set([...parts, ...pages])) await fetch(href).catch(() => {});
    document.documentElement.dataset.kept = 'true';
  }).catch(() => {
    if (sessionStorage.getItem('abbex:untrusted')) return;
    sessionStorage.setItem('abbex:untrusted', 'said');
    notice('This device does not trust the certificate of the shop: without a network this page would not come back. What is typed is kept all the same.');
  });
}
if (person) import('./queue.mjs');
if (document.getElementById('walk')) import('./measure.mjs').then((m) => m.walk());
if (document.getElementById('hand')) import('./cut.mjs').then((m) => m.hand());
