// Without a network the pages that were opened come from this device; nothing is answered from it while there is one.
const STATIC = 'static-1';
const PAGES = 'pages-';
const WAIT = 6000;
const OFFLINE = '/no-network';

self.addEventListener('install', (e) => {
  self.skipWaiting();
  // Said where a page was never opened, and where one signs out then; without it the browser says its own.
  e.waitUntil(
    caches
      .open(STATIC)
      .then((kept) => kept.add(OFFLINE))
      .catch(() => {}),
  );
});
self.addEventListener('activate', (e) => e.waitUntil(self.clients.claim()));
self.addEventListener('message', (e) => {
  if (e.data === 'claim') e.waitUntil(self.clients.claim());
});

const isPage = (path) => path === '/' || /^\/jobs\/[0-9a-f-]{36}\/(sheets\/[0-9a-f-]{36}|sheet|fit(\/[\w@~-]+)?)$/.test(path);
const isStatic = (path) =>
  /^\/(js|fonts|webjars)\//.test(path) || /^\/(app\.css|icons\.svg|shapes\.svg|favicon\.svg)$/.test(path);

self.addEventListener('fetch', (e) => {
  const url = new URL(e.request.url);
  if (e.request.method !== 'GET' || url.origin !== location.origin) return;
  if (isStatic(url.pathname)) e.respondWith(fixed(e));
  else if (e.request.mode === 'navigate' || (isPage(url.pathname) && !e.request.headers.has('HX-Request')))
    e.respondWith(page(e.request, url));
});

/** Fonts, styles and scripts: the network's when there is one, so that a newer program is never held back. */
async function fixed(e) {
  const kept = await caches.open(STATIC);
  try {
    const answer = await fetch(e.request);
    // Storage that is full or forbidden never costs an answer.
    if (answer.ok) e.waitUntil(kept.put(e.request, answer.clone()).catch(() => {}));
    return answer;
  } catch (gone) {
    const had = await kept.match(e.request, { ignoreVary: true });
    if (had) return had;
    throw gone;
  }
}

async function page(request, url) {
  try {
    const answer = await Promise.race([
      fetch(request),
      new Promise((_, no) => {
        setTimeout(() => no(new Error('slow')), navigator.onLine ? 60000 : WAIT);
      }),
    ]);
    if (answer.status === 200 && !answer.redirected && isPage(url.pathname)) {
      const owner = answer.headers.get('X-Abbex-Person');
      if (owner)
        await caches
          .open(PAGES + owner)
          .then((pages) => pages.put(url.href, answer.clone()))
          .catch(() => {});
    }
    return answer;
  } catch (gone) {
    return (await kept(url)) || (await nothing());
  }
}

/** The page itself; else the same sheet by another method; else the card of a step; else the newest page of the job. */
async function kept(url) {
  for (const name of (await caches.keys()).filter((n) => n.startsWith(PAGES))) {
    const pages = await caches.open(name);
    const same = (await pages.match(url.href)) || (await pages.match(url.href, { ignoreSearch: true }));
    if (same) return same;
    const card = url.pathname.match(/^\/jobs\/[0-9a-f-]{36}\/fit(?=\/)/)?.[0];
    if (card && (await pages.match(url.origin + card))) return Response.redirect(url.origin + card);
    const job = url.pathname.match(/^\/jobs\/[0-9a-f-]{36}\//)?.[0];
    const all = job ? (await pages.keys()).filter((r) => new URL(r.url).pathname.startsWith(job + 'sheets/')) : [];
    if (all.length) return Response.redirect(all[all.length - 1].url);
  }
  return null;
}

/** The page that says so, as the server wrote it once. */
async function nothing() {
  const page = await (await caches.open(STATIC)).match(OFFLINE);
  return page ? new Response(page.body, { status: 503, headers: page.headers }) : Response.error();
}
