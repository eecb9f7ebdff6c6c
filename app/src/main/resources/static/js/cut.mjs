// What is under the hand: bump, steer and roll of a corner, a vehicle's place on its way, by sliders or by dragging.
import { follow } from './follow.mjs';
import { typed } from './inch.mjs';
import { act } from './keys.mjs';

const form = document.getElementById('hand');
const cut = document.getElementById('cut');
let busy = false;
let again = false;

/** A length under the hand is in mm; who reads inches hears the nearest eighth. */
function said(size, unit) {
  if (unit !== '″') return size + unit;
  return typed(Math.round((size / 25.4) * 8), { marks: 8 }).replace(' ', '\u202f').replace('/', '⁄') + unit;
}

/** Asks for the drawing at the pose of the sliders; while one answer is under way only the newest pose waits. */
async function show() {
  for (const r of form.querySelectorAll('input[type=range]')) {
    const v = Number(r.value);
    const way = v > 0 ? r.dataset.more : r.dataset.less;
    const size = way ? Math.abs(v) : v;
    r.nextElementSibling.textContent = said(size, r.dataset.unit) + (v && way ? ' ' + way : '');
  }
  if (busy) {
    again = true;
    return;
  }
  busy = true;
  try {
    do {
      again = false;
      // A request that a lost network swallowed is given up, so that the next pose is asked for.
      const answer = await fetch(cut.dataset.src + '?' + new URLSearchParams(new FormData(form)), {
        signal: AbortSignal.timeout(2500),
      });
      if (answer.ok && !answer.redirected) swap(await answer.text());
    } while (again);
  } catch {
    /* no network: the last pose stays */
  } finally {
    busy = false;
    if (again) show();
  }
}

/** One drawing, or several of which each says where it belongs. */
function swap(html) {
  const box = document.createElement('template');
  box.innerHTML = html;
  const parts = box.content.querySelectorAll('[data-part]');
  if (parts.length === 0) cut.replaceChildren(box.content);
  for (const part of parts) document.getElementById(part.dataset.part).replaceChildren(...part.childNodes);
  cut.dispatchEvent(new Event('posed', { bubbles: true }));
}

function set(name, value) {
  const slider = form.elements[name];
  if (slider) slider.value = value;
}

/** Goes to a pose: what it does not say stays as it is. */
export function pose(values) {
  for (const [name, value] of Object.entries(values)) set(name, value);
  show();
}

/** Dragging: a mm of the drawing is a mm of bump; across, two of them are a degree. */
function drag(down) {
  // The drawing is replaced while it is dragged, so the finger is on what holds it: a touch on what goes loses its end.
  const svg = cut.querySelector('.cutsvg, .stancesvg');
  const box = svg.getBoundingClientRect();
  // A second finger drags nothing.
  if (down.button || !down.isPrimary || down.clientY < box.top || down.clientY > box.bottom) return;
  const shown = svg.viewBox.baseVal;
  const scale = Math.max(shown.width / box.width, shown.height / box.height);
  const value = (name) => Number(form.elements[name]?.value ?? 0);
  const from = { bump: value('bump'), steer: value('steer'), along: value('along') };
  follow(cut, down, (e) =>
    pose({
      bump: Math.round(from.bump - (e.clientY - down.clientY) * scale),
      steer: Math.round(from.steer + ((e.clientX - down.clientX) * scale) / 4),
      // The front is to the left.
      along: Math.round(from.along - (e.clientX - down.clientX) * scale),
    }),
  );
}

export function hand() {
  form.addEventListener('input', show);
  form.addEventListener('submit', (e) => {
    e.preventDefault();
    show();
  });
  cut.addEventListener('pointerdown', drag);
  // A drag is no fling of the page: the browser would swallow the next tap to stop it.
  cut.addEventListener('touchstart', (e) => e.preventDefault(), { passive: false });
  document.addEventListener('click', (e) => {
    const to = e.target.closest('.topose');
    if (!to || e.ctrlKey || e.metaKey) return;
    e.preventDefault();
    pose({ bump: to.dataset.bump, steer: to.dataset.steer, roll: to.dataset.roll });
    cut.scrollIntoView({ block: 'nearest' });
  });
  if (document.getElementById('cutaway')) import('./corner.mjs').then((m) => m.corner(act));
}
