// Pages that were opened stay on the device for this person; another's, or a signed-out one's, go.
import { notice, person } from './page.mjs';
import { say } from './say.mjs';

const PARTS = /\/(js|fonts|webjars)\/|\.(css|svg)(#|$)/;

async function forgetOthers() {
  const names = await caches.keys();
  const others = names.filter((n) => n.startsWith('pages-') && n !== 'pages-' + person);
  await Promise.all(others.map((n) => caches.delete(n)));
}

/** The same sheet by every method. */
const methods = () => [...document.querySelectorAll('.chips a, .stages a')].map((a) => a.href);

/** Steps of a card that are open: the next ones as they stand now, all others once. */
async function steps(card) {
  const own = card.dataset.job;
  const list = card.dataset.open ?? document.getElementById('asks')?.dataset.open ?? '';
  const all = list
    .split(' ')
    .filter((key) => key)
    .map((key) => `${location.origin}/jobs/${own}/fit/${key}`);
  const had = new Set((await (await caches.open('pages-' + person)).keys()).map((r) => r.url));
  return [`${location.origin}/jobs/${own}/fit`, ...all.filter((href, n) => n < 2 || !had.has(href))];
}

/** What the page is made of, the page itself, and what is gone on to from it: they may be all there is for an hour. */
async function keepThis() {
  const worker = navigator.serviceWorker;
  const { active } = await worker.ready;
  if (!worker.controller)
    await new Promise((there) => {
      worker.addEventListener('controllerchange', there, { once: true });
      // A page that came while the worker began was passed over when it took its pages.
      active.postMessage('claim');
    });
  const card = document.querySelector('.bayview[data-job], .fit[data-job]');
  if (!(card || document.getElementById('walk')) || !navigator.onLine) return;
  const parts = performance
    .getEntriesByType('resource')
    .map((r) => r.name)
    .filter((n) => PARTS.test(n));
  const pages = [location.href, ...(card ? await steps(card) : methods())];
  // What the page was made of went through the worker already, but for a first visit's.
  const missing = [];
  for (const part of parts) if (!(await caches.match(part, { ignoreVary: true }))) missing.push(part);
  for (const href of new Set([...missing, ...pages])) await fetch(href).catch(() => {});
  document.documentElement.dataset.kept = 'true';
}

/** A step came by itself, and is kept by that; so is the one after it, for where there is no way to it. */
export function keepNext(job, keys) {
  if (navigator.serviceWorker?.controller && keys.length) fetch(`/jobs/${job}/fit/${keys[0]}`).catch(() => {});
}

export function keepPages() {
  if (!isSecureContext || !('serviceWorker' in navigator)) return;
  if (person || location.pathname === '/sign-in') forgetOthers();
  if (!person) return;
  navigator.serviceWorker
    .register('/sw.js')
    .then(keepThis)
    .catch(() => {
      if (sessionStorage.getItem('abbex:untrusted')) return;
      sessionStorage.setItem('abbex:untrusted', 'said');
      notice(say('script.untrusted'));
    });
}
