// The field that finds a vehicle: the slash goes there, what is found stands under it, the arrows go through it.
import { act } from './keys.mjs';

function step(under, back) {
  const ways = [...under.querySelectorAll('a')];
  const at = ways.indexOf(document.activeElement);
  const to = back ? at - 1 : at + 1;
  if (to < 0) document.getElementById('find').focus();
  else ways[Math.min(to, ways.length - 1)]?.focus();
}

export function find() {
  const field = document.getElementById('find');
  const under = document.getElementById('found');
  if (!field || !under) return;
  const show = (on) => {
    under.hidden = !on;
  };
  act('/', () => {
    field.focus();
    field.select();
  });
  under.addEventListener('htmx:afterSwap', () => show(field.value.trim() !== ''));
  field.addEventListener('input', () => {
    if (field.value.trim() === '') show(false);
  });
  const box = field.closest('.find');
  box.addEventListener('keydown', (e) => {
    if (e.key === 'Escape') {
      show(false);
      field.focus();
    }
    if (under.hidden || (e.key !== 'ArrowDown' && e.key !== 'ArrowUp')) return;
    e.preventDefault();
    step(under, e.key === 'ArrowUp');
  });
  document.addEventListener('click', (e) => {
    if (!box.contains(e.target)) show(false);
  });
}
