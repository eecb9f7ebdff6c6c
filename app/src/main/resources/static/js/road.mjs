// The road card: a mark is put where the wheel is touched, a ring where it was found on its rod.
import { follow } from './follow.mjs';
import { enter, likely, mark, touched } from './hours.mjs';
import { typed } from './inch.mjs';

/** The rod between the body of the damper, where the ring was set, and the stop, in units of its drawing. */
const ROD = 80;

function marks(wheels, form) {
  const fields = form.elements;
  let said = Boolean(form.dataset.unfit);
  const wheel = () => [...wheels].find((w) => w.dataset.corner === fields.corner.value);
  const show = () => {
    for (const w of wheels) mark(w.querySelector('.clock'), w === wheel() ? fields.clock.value : '');
  };
  const guess = () => {
    if (!said && wheel()) likely(fields, wheel().dataset.likely);
  };
  for (const w of wheels) {
    w.querySelector('.clock').addEventListener('click', (e) => {
      fields.corner.value = w.dataset.corner;
      enter(fields, touched(w.querySelector('.clock'), e));
      guess();
      show();
      fields.clock.dispatchEvent(new Event('input', { bubbles: true }));
      form.querySelector('[name=face]:checked').focus({ preventScroll: true });
      form.scrollIntoView({ block: 'nearest' });
    });
  }
  fields.place.addEventListener('change', () => {
    said = true;
  });
  for (const kind of ['input', 'change']) {
    form.addEventListener(kind, (e) => {
      if (e.target === fields.place) return;
      guess();
      show();
    });
  }
  form.addEventListener('keydown', (e) => {
    // What it was seen on is said, not taken for granted.
    if (e.key !== 'Enter' || e.target !== fields.clock) return;
    e.preventDefault();
    form.querySelector('[name=on]').focus();
  });
  show();
}

/** A ring on its rod: so far up from the damper's body as the wheel went. */
function ring(svg, form) {
  const field = document.getElementById(svg.dataset.field);
  const step = Number(form.dataset.unit) / Number(form.dataset.marks) / 1e6;
  const most = Number(svg.dataset.most);
  const part = svg.querySelector('.ring');
  svg.addEventListener('pointerdown', (down) => {
    if (down.button || !down.isPrimary) return;
    const scale = svg.viewBox.baseVal.height / svg.getBoundingClientRect().height;
    const box = svg.getBoundingClientRect();
    const move = (e) => {
      const y = Math.min(Math.max(96 - (e.clientY - box.top) * scale, 0), ROD);
      const count = Math.round(((y / ROD) * most) / step);
      field.value = typed(count, form.dataset);
      part.setAttribute('transform', `translate(0 ${-((count * step) / most) * ROD})`);
    };
    move(down);
    follow(svg, down, move, () => field.dispatchEvent(new Event('input', { bubbles: true })));
  });
  svg.addEventListener('touchstart', (e) => e.preventDefault(), { passive: false });
}

export function road() {
  const form = document.querySelector('.probe.marks');
  if (form) marks(document.querySelectorAll('.roadwheel'), form);
  const driving = document.querySelector('.driving');
  for (const svg of document.querySelectorAll('.ringrod')) ring(svg, driving);
  document.getElementById('roadwheels').dataset.live = '';
}
