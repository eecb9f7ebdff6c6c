// Signing out, with or without a network: what was kept of the pages goes at once; the sign-in itself ends with the first
// request that gets through, by a cookie that says so. What waits unsent is sealed and stays for its person.
const LEFT = 'abbex-left';
const WAIT = 6000;
/** Longer than any sign-in lasts. */
const KEPT = 7 * 24 * 3600;

async function leave() {
  document.cookie = `${LEFT}=1; path=/; max-age=${KEPT}; samesite=lax${location.protocol === 'https:' ? '; secure' : ''}`;
  sessionStorage.clear();
  localStorage.setItem(LEFT, String(Date.now()));
  if (globalThis.caches)
    for (const name of (await caches.keys()).filter((n) => n.startsWith('pages-'))) await caches.delete(name);
}

const away = () => location.replace('/no-network');

/** Pages that are open elsewhere go too, and none comes back by Back. */
function followsOthers() {
  addEventListener('storage', (e) => {
    if (e.key === LEFT) away();
  });
  addEventListener('pageshow', (e) => {
    if (e.persisted && document.cookie.includes(LEFT + '=')) away();
  });
}

async function signOut(e) {
  const form = e.target;
  e.preventDefault();
  try {
    const body = new URLSearchParams(new FormData(form));
    const answer = await fetch(form.action, { method: 'POST', body, signal: AbortSignal.timeout(WAIT) });
    if (answer.ok) location.replace(answer.url);
    else form.submit();
  } catch {
    await leave();
    away();
  }
}

export function leaving() {
  followsOthers();
  document.querySelector('form.sign-out')?.addEventListener('submit', signOut);
}

/** The page that says that there is no network offers it where somebody is signed in. */
async function offer(button) {
  const names = globalThis.caches ? await caches.keys() : [];
  const left = () => document.cookie.includes(LEFT + '=');
  button.hidden = left() || !names.some((n) => n.startsWith('pages-'));
  document.getElementById('left').hidden = !left();
  button.addEventListener('click', async () => {
    await leave();
    button.hidden = true;
    document.getElementById('left').hidden = false;
  });
}

const button = document.getElementById('leave');
if (button) offer(button);
