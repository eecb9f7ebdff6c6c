// What every script needs of the page: who it was made for, its token, and the line at its foot.
import { say } from './say.mjs';

export const body = document.body;
export const person = body.dataset.person;
export const token = document.querySelector('meta[name=csrf]');

/** Says a sentence at the foot of the page, with a way on when there is one. */
export function notice(text, href, label) {
  const box = document.getElementById('notice');
  box.textContent = text;
  if (href) {
    const way = document.createElement('a');
    way.href = href;
    way.textContent = label;
    way.className = 'btn btn-primary';
    box.append(' ', way);
  }
  const away = document.createElement('button');
  away.type = 'button';
  away.className = 'away';
  away.textContent = '×';
  away.setAttribute('aria-label', say('script.notice.away'));
  away.addEventListener('click', quiet);
  box.append(' ', away);
  box.hidden = false;
  // It lies over no button: the page ends above it.
  body.style.setProperty('--noticed', box.offsetHeight + 'px');
}

export function quiet() {
  document.getElementById('notice').hidden = true;
  body.style.removeProperty('--noticed');
}

/** The address of this page, to come back to. */
export const here = () => location.pathname + location.search;

/** A fresh id for what is sent; without HTTPS the browser's own maker of them is missing. */
export function freshId() {
  if (crypto.randomUUID) return crypto.randomUUID();
  const b = crypto.getRandomValues(new Uint8Array(16));
  b[6] = (b[6] & 0x0f) | 0x40;
  b[8] = (b[8] & 0x3f) | 0x80;
  return [...b].map((x, i) => ([4, 6, 8, 10].includes(i) ? '-' : '') + x.toString(16).padStart(2, '0')).join('');
}
