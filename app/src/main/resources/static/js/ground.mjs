// A low point: tapped under the vehicle where it is, its height by the mark of the tape.
import { inch, typed } from './inch.mjs';

const form = document.getElementById('lowform');
const fields = form.elements;
const tape = document.getElementById('gaptape');

/** How far from which axle: in the drawing the front axle is at 0, the front to the left. */
function tapped(e) {
  const svg = e.currentTarget.querySelector('.stancesvg[data-level]');
  if (!svg) return;
  const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.getScreenCTM().inverse());
  const ahead = -at.x;
  const wheelbase = Number(form.dataset.wheelbase);
  fields.from.value = ahead >= 0 ? 'AHEAD' : ahead > -wheelbase ? 'BETWEEN' : 'BEHIND';
  const away = ahead >= 0 ? ahead : ahead > -wheelbase ? -ahead : -ahead - wheelbase;
  // By eye: to a quarter of an inch, or half a centimetre.
  const parts = tape.dataset.metric === 'true' ? 2 : 4;
  const coarse = Math.max(1, Math.round(Number(tape.dataset.marks) / parts));
  const step = (Number(tape.dataset.unit) / Number(tape.dataset.marks)) * coarse;
  fields.away.value = typed(Math.round((away * 1e6) / step) * coarse, tape.dataset);
  fields.away.dispatchEvent(new Event('input', { bubbles: true }));
  const line = svg.querySelector('.tapped');
  line.toggleAttribute('display', false);
  line.setAttribute('d', `M${at.x} 0V-700`);
  tape.querySelector('.inch').focus({ preventScroll: true });
  form.scrollIntoView({ block: 'nearest' });
}

export function ground() {
  const face = inch(tape, {
    wrote(text) {
      fields.height.value = text;
      fields.height.dispatchEvent(new CustomEvent('input', { bubbles: true, detail: 'tape' }));
    },
    say(text) {
      document.getElementById('gap-said').textContent = text;
    },
    enter: () => form.requestSubmit(),
    least: 0,
  });
  tape.hidden = false;
  // A hand's breadth is where underbodies are.
  face.turn(Number(tape.dataset.unit) * (tape.dataset.metric === 'true' ? 11 : 4), false);
  if (fields.height.value) face.follow(fields.height.value);
  else face.draw();
  form.addEventListener('input', (e) => {
    if (e.target === fields.height && e.detail !== 'tape') face.follow(fields.height.value);
  });
  document.getElementById('cut')?.addEventListener('click', tapped);
  form.dataset.live = '';
}
