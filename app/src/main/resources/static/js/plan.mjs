// The plan: what is typed or dragged shows at once what comes of it; kept by its button.
import { follow } from './follow.mjs';
import { unpressed } from './press.mjs';

const form = document.getElementById('bench');
const planned = document.getElementById('planned');
const WAIT = 180;

let busy = false;
let again = false;
let timer;

/** What would come of what stands in the form; while one answer is under way only the newest form waits. */
async function ask() {
  if (busy) {
    again = true;
    return;
  }
  busy = true;
  again = false;
  try {
    const query = new URLSearchParams(new FormData(form));
    const answer = await fetch(`${planned.dataset.src}?${query}`, { signal: AbortSignal.timeout(4000) });
    if (answer.ok && !answer.redirected) {
      const html = await answer.text();
      unpressed('plan', () => swap(html));
    }
  } catch {
    /* no network: the last answer stays */
  } finally {
    busy = false;
    if (again) ask();
  }
}

/** What was unfolded stays so, as long as there are as many folds. */
function swap(html) {
  const open = [...planned.querySelectorAll('details')].map((d) => d.open);
  planned.innerHTML = html;
  const now = planned.querySelectorAll('details');
  if (now.length === open.length) now.forEach((d, i) => (d.open = open[i]));
  grips();
  poses();
  shackle();
}

/** The linkage in motion under the hand: each place of the slider has its pose drawn already. */
function poses() {
  const slider = planned.querySelector('.poses');
  const all = planned.querySelectorAll('.pose');
  slider?.addEventListener('change', (e) => e.stopPropagation());
  slider?.addEventListener('input', () => {
    all.forEach((pose, i) => pose.classList.toggle('here', i === Number(slider.value)));
    planned.querySelector('.ratio').value = all[Number(slider.value)].dataset.ratio;
  });
}

/** The shackle drawn longer or shorter: its bolt goes where the hand is, in whole millimetres. */
function shackle() {
  const line = planned.querySelector('.shackle.hit');
  line?.addEventListener('pointerdown', (down) => {
    down.preventDefault();
    const scale = line.ownerSVGElement.getScreenCTM().inverse();
    const { x, y } = line.dataset;
    const field = form.querySelector(`[name=${line.dataset.field}]`);
    follow(planned, down, (e) => {
      const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(scale);
      const text = `${Math.round(Math.hypot(at.x - Number(x), at.y - Number(y)))} mm`;
      if (field.value === text) return;
      field.value = text;
      field.dispatchEvent(new Event('input', { bubbles: true }));
      clearTimeout(timer);
      ask();
    });
  });
}

/** A figure leads to the field that it follows from, unfolded. */
function leads(event) {
  const link = event.target.closest('.turns a, [data-field]');
  const field = link && document.getElementById(link.dataset.field ?? link.hash.slice(1));
  if (!field) return;
  event.preventDefault();
  for (const fold of [field.closest('details'), field.closest('.benchrow')]) fold.hidden = false;
  field.closest('.cell').classList.remove('unasked');
  field.closest('details').open = true;
  field.focus();
  field.scrollIntoView({ block: 'center' });
}

function soon() {
  clearTimeout(timer);
  timer = setTimeout(ask, WAIT);
}

/** A perch is set to whole millimetres: what is written says so. */
function write(end, to) {
  const field = form.elements[`${end}_PERCH`];
  const text = `${Math.round(to)} mm`.replace(/^-0/, '0');
  if (field.value === text) return;
  field.value = text;
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/** A handle over each wheel whose perch has a range. */
function grips() {
  const svg = planned.querySelector('.plandrawn svg');
  if (!svg) return;
  const wheels = svg.querySelectorAll('.tyre');
  planned.querySelectorAll('.planend').forEach((section) => {
    const { end } = section.dataset;
    const [least, most] = [Number(section.dataset.least), Number(section.dataset.most)];
    const wheel = wheels[end === 'FRONT' ? 0 : 1];
    if (section.dataset.least === undefined || !wheel) return;
    const x = wheel.cx.baseVal.value;
    const y = wheel.cy.baseVal.value - wheel.r.baseVal.value - 240;
    const grip = document.createElementNS('http://www.w3.org/2000/svg', 'g');
    grip.setAttribute('class', 'grip');
    grip.setAttribute('transform', `translate(${x} ${y})`);
    grip.innerHTML = '<circle r="95"/><path d="M-38-18 0-56l38 38M-38 18 0 56l38-38"/>';
    svg.append(grip);
    grip.addEventListener('pointerdown', (down) => {
      down.preventDefault();
      const ratio = Number(section.dataset.ratio);
      const from = Number(section.dataset.perch);
      // The drawing is replaced while it is dragged: its scale is taken once.
      const scale = svg.getScreenCTM().inverse();
      const at = (e) => new DOMPoint(e.clientX, e.clientY).matrixTransform(scale).y;
      const start = at(down);
      follow(planned, down, (e) => {
        const to = Math.max(least, Math.min(most, from + (at(e) - start) * ratio));
        write(end, to);
        clearTimeout(timer);
        ask();
      });
    });
  });
}

/** Fields follow the kinds that are ticked; what was typed in others is there until it is kept. */
function asks() {
  for (const end of form.querySelectorAll('fieldset[data-end]')) {
    const ticked = [...end.querySelectorAll('[data-kind]:checked')].map((c) => c.dataset.kind);
    const asked = (kinds) => !kinds || kinds.split(' ').some((k) => ticked.includes(k));
    for (const cell of end.querySelectorAll('.cell')) {
      const speaks = cell.querySelector('[aria-invalid=true]') !== null;
      cell.classList.toggle('unasked', !speaks && !asked(cell.dataset.kinds));
    }
    for (const of of end.querySelectorAll('.benchrow, .partgroup')) of.hidden = !of.querySelector('.cell:not(.unasked)');
  }
}

export function plan() {
  // A draft, and a page that somebody comes back to, bring their ticks with them.
  asks();
  addEventListener('pageshow', asks);
  form.addEventListener('change', (e) => e.target.dataset.kind && asks());
  form.addEventListener('input', soon);
  form.addEventListener('change', soon);
  planned.addEventListener('change', soon);
  planned.addEventListener('click', leads);
  grips();
  poses();
  shackle();
  form.dataset.live = '';
}
