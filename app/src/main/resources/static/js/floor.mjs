// The floor under a hand: a vehicle is dragged to its place, or tapped and then its place is tapped.
import { act } from './keys.mjs';

const board = document.getElementById('board');
const mover = document.getElementById('mover');
/** So far a finger may tremble before it drags. */
const TREMBLE = 8;
let held = null;

const name = (stand) => stand.querySelector('.minitag');
const stall = (x, y) => document.elementFromPoint(x, y)?.closest('[data-place]');

function to(place, form) {
  form.elements.place.value = place.dataset.place;
  form.elements.bay.value = place.dataset.bay ?? '';
  form.requestSubmit();
}

/** The form of its place comes up, and every place can be tapped. */
async function take(stand) {
  const id = name(stand).dataset.id;
  await window.htmx.ajax('GET', `/jobs/${id}/move`, { target: mover, swap: 'innerHTML' });
  if (!mover.querySelector('form')) return null;
  board.classList.add('moving');
  for (const s of board.querySelectorAll('.stand')) s.classList.toggle('taken-up', s === stand);
  return mover.querySelector('form');
}

function letGo() {
  board.classList.remove('moving');
  for (const s of board.querySelectorAll('.taken-up')) s.classList.remove('taken-up');
  const back = held;
  held = null;
  mover.replaceChildren();
  if (back) name(back)?.focus();
}

async function pick(stand) {
  held = stand;
  const form = await take(stand);
  form?.querySelector('select')?.focus();
}

/** Drags a copy of the drawing; outside of every place nothing happens. */
function drag(e) {
  const drawn = e.target.closest('.grab');
  if (!drawn || e.button !== 0 || !e.isPrimary) return;
  const stand = drawn.closest('.stand');
  let ghost = null;
  const move = (m) => {
    if (!ghost && Math.hypot(m.clientX - e.clientX, m.clientY - e.clientY) < TREMBLE) return;
    if (!ghost) {
      ghost = drawn.querySelector('svg').cloneNode(true);
      ghost.classList.add('ghosted');
      document.body.append(ghost);
      board.classList.add('moving');
      stand.classList.add('taken-up');
    }
    ghost.style.setProperty('--x', m.clientX + 'px');
    ghost.style.setProperty('--y', m.clientY + 'px');
    const under = stall(m.clientX, m.clientY);
    for (const p of board.querySelectorAll('[data-place]')) p.classList.toggle('under', p === under);
  };
  const end = async (m) => {
    document.removeEventListener('pointermove', move);
    document.removeEventListener('pointerup', end);
    document.removeEventListener('pointercancel', end);
    if (!ghost) return;
    ghost.remove();
    for (const p of board.querySelectorAll('.under')) p.classList.remove('under');
    // The click that ends a drag opens nothing.
    const nothing = (c) => c.preventDefault();
    window.addEventListener('click', nothing, { capture: true });
    setTimeout(() => window.removeEventListener('click', nothing, { capture: true }), 0);
    const place = m.type === 'pointerup' ? stall(m.clientX, m.clientY) : null;
    const from = stand.closest('[data-place]');
    if (!place || place === from) {
      letGo();
      return;
    }
    held = stand;
    const form = await take(stand);
    if (form) to(place, form);
    else letGo();
  };
  document.addEventListener('pointermove', move);
  document.addEventListener('pointerup', end);
  document.addEventListener('pointercancel', end);
}

export function floor() {
  board.addEventListener('dragstart', (e) => e.preventDefault());
  board.addEventListener('pointerdown', drag);
  board.addEventListener('click', (e) => {
    if (e.target.closest('[data-cancel]') && mover.querySelector('form') && held) {
      e.preventDefault();
      letGo();
      return;
    }
    if (mover.contains(e.target) || e.defaultPrevented) return;
    const form = mover.querySelector('form');
    const place = e.target.closest('[data-place]');
    if (form && board.classList.contains('moving') && place && !e.target.closest('.minitag')) {
      e.preventDefault();
      to(place, form);
      return;
    }
    const drawn = e.target.closest('.grab');
    if (drawn) {
      e.preventDefault();
      pick(drawn.closest('.stand'));
    }
  });
  document.addEventListener('keydown', (e) => {
    if (e.key === 'Escape' && held) letGo();
  });
  act('p', () => {
    const stand = document.activeElement?.closest('.stand');
    if (stand) pick(stand);
  });
  act('v', () => board.querySelector('.whose a:not([aria-current])')?.click());
  board.dataset.live = 'true';
}
