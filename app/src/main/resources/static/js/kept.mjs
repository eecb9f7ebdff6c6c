// Pages that were opened stay on the device for this person; another's, or a signed-out one's, go.
import { notice, person } from './page.mjs';
import { say } from './say.mjs';

const PARTS = /\/(js|fonts|webjars)\/|\.(css|svg)(#|$)/;

async function forgetOthers() {
  const names = await caches.keys();
  const others = names.filter((n) => n.startsWith('pages-') && n !== 'pages-' + person);
  await Promise.all(others.map((n) => caches.delete(n)));
}

/** What the page is made of, the page itself, and the same sheet by every method: they may be all there is for an hour. */
async function keepThis() {
  const worker = navigator.serviceWorker;
  await worker.ready;
  if (!worker.controller)
    await new Promise((there) => worker.addEventListener('controllerchange', there, { once: true }));
  if (!document.getElementById('walk') || !navigator.onLine) return;
  const parts = performance
    .getEntriesByType('resource')
    .map((r) => r.name)
    .filter((n) => PARTS.test(n));
  const pages = [location.href, ...[...document.querySelectorAll('.chips a, .stages a')].map((a) => a.href)];
  for (const href of new Set([...parts, ...pages])) await fetch(href).catch(() => {});
  document.documentElement.dataset.kept = 'true';
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
