// Keys that act: single ones outside of fields, with Alt inside of them.
import { body, person, token } from './page.mjs';

function dim() {
  const root = document.documentElement;
  const dark = matchMedia('(prefers-color-scheme: dark)').matches;
  const now = root.dataset.theme === 'auto' ? (dark ? 'dim' : 'bright') : root.dataset.theme;
  root.dataset.theme = now === 'dim' ? 'bright' : 'dim';
  if (!token) return;
  fetch('/account/theme', {
    method: 'POST',
    headers: { [token.dataset.header]: token.content, 'Content-Type': 'application/x-www-form-urlencoded' },
    body: 'theme=' + root.dataset.theme,
  });
}

const go = (href) => () => {
  location.href = href;
};

const acts = {
  '?': () => document.getElementById('keys').showModal(),
  n: go('/arrive'),
  f: go('/'),
  h: () => document.querySelector('.strip a[href$="/sheet"]')?.click(),
  d: dim,
};

/** Other modules add their own acts. */
export function act(key, what) {
  acts[key] = what;
}

export function keys() {
  document.addEventListener('keydown', (e) => {
    if (!person || e.ctrlKey || e.metaKey || document.querySelector('dialog[open]')) return;
    const typing = e.target.matches('input:not([type=radio]):not([type=checkbox]), textarea, select');
    if (typing ? !e.altKey : !e.altKey && body.dataset.keys !== 'true') return;
    const key = e.altKey && e.code.startsWith('Key') ? e.code.slice(3).toLowerCase() : e.key.toLowerCase();
    if (!acts[key]) return;
    e.preventDefault();
    acts[key]();
  });
}
